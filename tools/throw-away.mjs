import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './postgres.mjs';
import { DEMO_CARD, openShop } from './shop.mjs';

/** A shop of its own in a temporary folder on free ports, gone when closed; `durable` keeps to a shop's safety. */
export async function openThrowAwayShop({ durable = false, card = DEMO_CARD } = {}) {
  return openShop({
    directory: mkdtempSync(join(tmpdir(), 'iron-patch-')),
    port: await freePort(),
    dbPort: await freePort(),
    card,
    signIn: 'pick',
    throwAway: true,
    durable,
  });
}
