import { STATIONS } from '../stations';
import { TRADE_WORDS, wordsAt } from './trade-words';

const all = STATIONS.flatMap(wordsAt);

it('every station explains some words, each once', () => {
  for (const station of STATIONS) {
    const ids = wordsAt(station).map((w) => w.id);
    expect(ids.length).toBeGreaterThan(1);
    expect(new Set(ids).size).toBe(ids.length);
  }
});

it('every word is explained somewhere', () => {
  expect(new Set(all.map((w) => w.id))).toEqual(new Set(Object.keys(TRADE_WORDS)));
});

it.each(all.map((w) => [w.word, w.means] as const))('%s is told in one or two whole sentences', (word, means) => {
  expect(word.length).toBeGreaterThan(0);
  expect(means).toMatch(/^[A-Z0-9].*\.$|^[A-Z].*\)\.$/);
  expect(means.length).toBeLessThanOrEqual(170);
});

it('no word is explained by itself alone', () => {
  for (const { word, means } of all) expect(means.toLowerCase().startsWith(word.toLowerCase())).toBe(false);
});
