import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { root } from './build.mjs';

export const DEMO_GAUGE = join(root, 'demo/data/gauge/worn-bearing-housing.json');

/**
 * Starts the simulated gauge: WebSocket on the port, TCP one below; both any free one when the port is 0.
 *
 * @returns its address and a way to stop it
 */
export async function openGauge({ port, file = DEMO_GAUGE, quiet = false }) {
  const args = ['--enable-source-maps', join(root, 'gauge/dist/gauge.mjs'), file, String(port), String(port ? port - 1 : 0)];
  const gauge = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
  const gone = once(gauge, 'exit').then(() => null);
  const said = await Promise.race([once(gauge.stdout.setEncoding('utf8'), 'data'), gone]);
  if (said === null) throw new Error('The simulated gauge did not start.');
  if (!quiet) process.stdout.write(said[0]);
  return {
    address: /ws:\/\/\S+?(?= )/.exec(said[0])[0],
    async close() {
      gauge.kill('SIGTERM');
      await gone;
    },
  };
}
