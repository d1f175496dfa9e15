import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { buildAll, bundle, root } from './build.mjs';
import { openThrowAwayShop } from './throw-away.mjs';

/** Takes the pictures of docs/screenshots from a fresh demo shop. */
export async function shots([directory = 'docs/screenshots', only = '', size = ''] = []) {
  buildAll();
  bundle('e2e/src/shots.ts', 'e2e/dist/shots.mjs');
  const shop = await openThrowAwayShop();
  try {
    shop.loadDemo();
    execFileSync(process.execPath, [join(root, 'e2e/dist/shots.mjs'), shop.address, directory, only, size], {
      cwd: root,
      stdio: 'inherit',
    });
  } finally {
    await shop.close();
  }
}
