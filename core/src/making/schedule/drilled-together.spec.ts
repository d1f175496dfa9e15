import { drilledTogether, type HoleTogether } from './drilled-together';

const IN = 25.4;
const bench = { mill: null, drillSets: [], hssMMin: 24, finderMm: 0.2 * IN, unit: 'in' } as const;
const hole: HoleTogether = { id: 'h', name: 'pin', sizeMm: 0.3125 * IN, there: null, across: { mm: 1.9 * IN, name: 'hub' } };
const setTo = (h: HoleTogether, label: string): number | undefined =>
  drilledTogether(h, bench)?.settings.find(
    (s) => s.figure.label === label || (label === 'drill' && /^drill, /.test(s.figure.label) && s.figure.measure === 'length'),
  )?.figure.value;

// A hub of 1.90 in and a finder of 0.200: 0.95 and 0.10.
it('stands half the outside and half the finder from the edge', () =>
  expect(setTo(hole, 'from the edge to the centre line')! / IN).toBeCloseTo(1.05, 6));

it('a 5/16 reamer finds 0.006 to 0.012 in left, as it asks', () => {
  const left = (0.3125 * IN - setTo(hole, 'drill')!) / IN;
  expect(left).toBeGreaterThan(0.0059);
  expect(left).toBeLessThan(0.0119);
});

it('turns a drill at 1000 V over pi d by the share of a drill, and a reamer slower', () => {
  const [drill, reamer] = [setTo(hole, 'drill, at')!, setTo(hole, 'reamer, at')!];
  expect(drill).toBeLessThanOrEqual((1000 * 24) / (Math.PI * setTo(hole, 'drill')!));
  expect(reamer).toBeLessThan(drill / 1.5);
});

it('in a hole that is there begins with a drill that cuts, and says where the reamer is alone', () => {
  const large = { ...hole, sizeMm: 30, there: { smallestMm: 18, largestMm: 22 } };
  const drills = drilledTogether(large, bench)!.settings.filter(
    (s) => / drill|^drill/.test(s.figure.label) && s.figure.measure === 'length',
  );
  expect(Math.min(...drills.map((s) => s.figure.value).filter((mm) => mm > 1))).toBeGreaterThan(18);
  const wide = { ...hole, there: { smallestMm: 0.25 * IN, largestMm: 0.31 * IN } };
  expect(drilledTogether(wide, bench)!.words.join(' ')).toContain('the reamer alone cleans it up');
  expect(drilledTogether(large, bench)!.words.join(' ')).toContain('an end mill goes first');
});

it('clears its chips from three diameters on, and counts nothing where the outside was not read', () => {
  expect(drilledTogether(hole, bench)!.cuts!.toMm[0]).toBeCloseTo(3 * setTo(hole, 'drill')!, 9);
  expect(drilledTogether(hole, bench)!.cuts!.toMm.at(-1)).toBe(1.9 * IN);
  const bare = drilledTogether({ ...hole, across: null }, bench)!;
  expect(bare.cuts).toBeNull();
  expect(bare.words[0]).toContain('was not measured');
});

it('no reamer is listed beyond 80 mm', () => expect(drilledTogether({ ...hole, sizeMm: 90 }, bench)).toBeNull());
