import { seededRandom } from '../../evidence/proof';
import { doing } from './set-up';
import { KEYS, onceEach, ordered, withCame, type Act } from './act';

const act = (key: string, words = key, ...cuts: string[]): Act => ({ key, words, cuts });
const keysOf = (acts: readonly Act[]): string => acts.map((a) => a.key).join(' ');
const dealt = (keys: readonly string[], random: () => number): string[] =>
  keys
    .map((k) => [random(), k] as const)
    .sort((p, q) => p[0] - q[0])
    .map(([, k]) => k);
const ACTS = ['face', 'a', 'b', 'c', 'edges', 'part-off'].map((k) => act(k));

it('puts acts as somebody wants them, and what they do not name behind what it follows', () => {
  expect(keysOf(ordered(ACTS, ['c', 'a']))).toBe('face c edges part-off a b');
  expect(keysOf(ordered(ACTS, ['edges', 'a', 'gone', 'edges-no']))).toBe('face edges part-off a b c');
  expect(ordered(ACTS, [])).toEqual(ACTS);
  expect(keysOf(ordered(ACTS, ['b', 'a', 'b']))).toBe('face b c edges part-off a');
});

it('loses none and doubles none, whatever is named, in whatever order', () => {
  const random = seededRandom(5);
  for (let i = 0; i < 200; i += 1) {
    const keys = dealt([...ACTS.map((a) => a.key), 'gone'], random).slice(0, Math.floor(random() * 8));
    const out = ordered(ACTS, keys);
    expect([...out].sort((p, q) => p.key.localeCompare(q.key))).toEqual([...ACTS].sort((p, q) => p.key.localeCompare(q.key)));
    const named = keys.filter((k) => k !== 'gone');
    expect(keysOf(out.filter((a) => named.includes(a.key)))).toBe(named.join(' '));
  }
});

it('tells the same words once, for all that they cut', () =>
  expect(onceEach([act('1', 'Drill', 'h'), act('2', 'Drill', 'g'), act('3', 'Ream', 'h')])).toEqual([
    act('1', 'Drill', 'h', 'g'),
    act('3', 'Ream', 'h'),
  ]));

it('puts what comes from elsewhere before the edges and the part-off', () => {
  expect(keysOf(withCame(ACTS, [act('x')]))).toBe('face a b c x edges part-off');
  expect(keysOf(withCame([act('a'), act(KEYS.partOff)], [act('x')]))).toBe('a x part-off');
  expect(keysOf(withCame([act('a')], [act('x')]))).toBe('a x');
});

it('what is cut follows the acts, and what no act names comes behind', () =>
  expect(doing([act('2', 'Turn b', 'b'), act('1', 'Turn a', 'a', 'gone')], ['a', 'b', 'c'])).toMatchObject({
    operations: ['Turn b', 'Turn a'],
    cuts: ['b', 'a', 'c'],
  }));
