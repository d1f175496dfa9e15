import { resolve } from 'node:path';
import { readConfig } from './config';
import { start } from './start';

try {
  const config = readConfig(process.env);
  const running = await start({ ...config, webDirectory: config.webDirectory && resolve(config.webDirectory) });
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
