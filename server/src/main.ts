import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readConfig } from './config';
import { threadBench } from './standings';
import { start } from './start';

const beside = (name: string): string => fileURLToPath(new URL(name, import.meta.url));

try {
  const config = readConfig(process.env);
  const running = await start(
    { ...config, webDirectory: config.webDirectory && resolve(config.webDirectory) },
    {
      bench: threadBench(beside('./standing-worker.mjs')),
      program: createHash('sha256')
        .update(readFileSync(beside('./main.mjs')))
        .digest('hex')
        .slice(0, 16),
    },
  );
  process.stdout.write(`listening ${running.address}\n`);
  let stopping = false;
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    void running.stop().then(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
} catch (e) {
  const error = e as NodeJS.ErrnoException;
  process.stderr.write(error.code === 'EADDRINUSE' ? `Port is in use: choose another with IRON_PATCH_PORT.\n` : `${error.message}\n`);
  process.exit(1);
}
