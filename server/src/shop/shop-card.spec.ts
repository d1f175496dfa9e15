import { readFileSync } from 'node:fs';
import { check, PLAIN_BAR, shopCardInput } from '@iron-patch/contract';
import Ajv from 'ajv';
import { ROOT } from '../testing/test-database';

interface Card {
  [list: string]: unknown;
  rack: object[];
}
const read = (file: string): Card => JSON.parse(readFileSync(`${ROOT}/${file}`, 'utf8')) as Card;
const validate = new Ajv({ allErrors: true, strict: true, allowUnionTypes: true }).compile(read('docs/shop-card.schema.json'));
const demo = read('demo/data/shop.json');
const whole = (card: Card): Card => ({ ...card, rack: card.rack.map((b) => ({ ...PLAIN_BAR, ...b })) });
const taken = (card: Card): boolean => check(shopCardInput, whole(card)).ok;

it('the demo’s card is by the schema that is published, and taken by the server', () => {
  expect(validate(demo) || validate.errors).toBe(true);
  expect(check(shopCardInput, whole(demo))).toMatchObject({ ok: true });
});

/** Every number and word of the card, one at a time, made into what it cannot be. */
function* broken(value: unknown, at: readonly string[] = []): Generator<readonly [path: string, card: Card]> {
  if (value !== null && typeof value === 'object') for (const [key, v] of Object.entries(value)) yield* broken(v, [...at, key]);
  else if (at.length > 1) {
    const card = structuredClone(demo);
    const parent = at.slice(0, -1).reduce<Record<string, unknown>>((o, k) => o[k] as Record<string, unknown>, card);
    parent[at.at(-1)!] = typeof value === 'string' ? 7 : 'seven';
    yield [at.join('.'), card];
  }
}

it('schema and server refuse the same', () => {
  const all = [...broken(demo)];
  expect(all.length).toBeGreaterThan(300);
  for (const [path, card] of all) {
    expect([path, validate(card)]).toEqual([path, false]);
    expect([path, taken(card)]).toEqual([path, false]);
  }
  for (const list of ['people', 'instruments', 'lathes', 'rack']) {
    const { [list]: _, ...rest } = demo;
    expect([list, validate(rest)]).toEqual([list, false]);
  }
});
