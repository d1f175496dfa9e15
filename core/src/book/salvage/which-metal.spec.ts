import { MATERIALS } from '../materials';
import { METAL_KINDS, METAL_QUESTION_IDS, METAL_QUESTIONS, type MetalKind } from './index';
import { tellsMost, whichMetal } from './which-metal';

const kinds = Object.entries(METAL_KINDS) as [keyof typeof METAL_KINDS, MetalKind][];

// What shop handbooks print of well-known metals at the wheel, at a magnet, at a file.
it.each([
  ['machine steel', { magnet: 'strong', file: 'cuts', spark: 'few' }, 'mild'],
  ['a shaft of 1045', { magnet: 'strong', file: 'works', spark: 'forks', colour: 'steel' }, 'medium'],
  ['a cold chisel', { magnet: 'strong', file: 'hard', spark: 'bursts' }, 'high'],
  ['a drill of high-speed steel', { magnet: 'strong', file: 'skates', spark: 'red-broken' }, 'high-speed'],
  ['a machine’s bed', { magnet: 'strong', spark: 'red-fine', chip: 'crumbles', colour: 'cast' }, 'grey'],
  ['a dairy’s pipe', { magnet: 'none', file: 'works', spark: 'straw', colour: 'silver' }, 'austenitic'],
  ['a crusher’s jaw', { magnet: 'none', spark: 'white-all', chip: 'tough' }, 'manganese'],
  ['an axle of 4140', { magnet: 'strong', file: 'hard', spark: 'arrows', chip: 'curls' }, 'alloy'],
  ['a bearing bush', { magnet: 'none', file: 'cuts', spark: 'none', colour: 'yellow' }, 'copper'],
  ['a gearbox lid', { magnet: 'none', file: 'cuts', spark: 'none', colour: 'light' }, 'aluminium'],
  ['an aircraft bolt', { magnet: 'none', spark: 'glare' }, 'titanium'],
  ['a piston rod', { magnet: 'strong', file: 'skates', spark: 'forks' }, 'hardened'],
] as const)('%s is told for what it is', (_, answers, id) => {
  const ranked = whichMetal(answers);
  expect(ranked[0]!.id).toBe(id);
  expect(ranked.reduce((sum, r) => sum + r.share, 0)).toBeCloseTo(1, 12);
});

it('drawing metals and their answers, it is as often right as it says', () => {
  let seed = 5;
  const next = (): number => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
  const pick = <T>(of: readonly (readonly [T, number])[]): T => {
    let at = next() * of.reduce((s, [, w]) => s + w, 0);
    return of.find(([, w]) => (at -= w) < 0)?.[0] ?? of.at(-1)![0];
  };
  let said = 0;
  let right = 0;
  for (let i = 0; i < 4000; i++) {
    const id = pick(kinds.map(([k, m]) => [k, m.prior] as const));
    const answers = Object.fromEntries(
      METAL_QUESTION_IDS.slice(0, 3).map((q) => [q, pick(Object.entries((METAL_KINDS[id] as MetalKind).says[q]))]),
    );
    const [first] = whichMetal(answers);
    said += first!.share;
    right += Number(first!.id === id);
  }
  // A little too careful: an answer may be seen wrong, and here none is.
  expect(right / 4000).toBeGreaterThan(said / 4000 - 0.01);
  expect(right / 4000).toBeLessThan(said / 4000 + 0.05);
});

it('asks next what a wheel tells best, nothing where all is tried, and sees through one wrong answer', () => {
  expect(tellsMost({ magnet: 'strong' })).toBe('spark');
  const all = { magnet: 'strong', file: 'cuts', spark: 'few', chip: 'curls', colour: 'steel' };
  expect(tellsMost(all)).toBeNull();
  expect(whichMetal({ ...all, magnet: 'none' })[0]!.id).toBe('mild');
});

it('assumes metals of the book, and knows only answers that are asked for', () => {
  for (const [, m] of kinds) {
    for (const id of [m.weakestId, m.hardestId]) expect(MATERIALS.map((x) => x.id)).toContain(id);
    for (const q of METAL_QUESTION_IDS) {
      expect(Object.values(m.says[q]).reduce((a, b) => a + b, 0)).toBe(100);
      for (const a of Object.keys(m.says[q])) expect(Object.keys(METAL_QUESTIONS[q].answers)).toContain(a);
    }
  }
});
