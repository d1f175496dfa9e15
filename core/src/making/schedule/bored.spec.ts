import { seededRandom } from '../../evidence/proof';
import { newPart, partLengthMm, placeBore, surface, type Bore, type Part } from '../part';
import { schedulesOf, type Bench, type Schedule } from '.';

const BENCH: Bench = {
  lathe: {
    ...{ name: 'Lathe', gearsRpm: [70, 200, 500, 1200] },
    cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
    carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
  },
  ...{ partingMm: 3, finderMm: 10, unit: 'mm', hssMMin: 25, holeMm: null, cutMm: (s) => s.diameterMm, mostRpm: () => null },
  mill: null,
  drillSets: [{ id: 'm', kind: 'metric', fromMm: 1, toMm: 13, stepMm: 0.5, version: 1 }],
};
const bored = (bore: Bore, lengthMm = 80): Part => ({ ...newPart('plain-pin', 'Bush', 70, lengthMm), features: [], bores: [bore] });
const step = (id: string, d: number, l: number) => surface(id, 'cylinder', `Bore ${id}`, l, d);
const drills = (part: Part): Schedule[] => schedulesOf(part, BENCH).filter((s) => s.title.startsWith('Drill'));
const valueOf = (s: Schedule, name: string): number => s.settings.find((x) => x.figure.key.endsWith(`.${name}`))!.figure.value;
/** The drill that is used last. */
const lastDrill = (s: Schedule): number => s.settings.filter((x) => /\.drill-\d+$/.test(x.figure.key)).at(-1)!.figure.value;

it('a bush of 20 through: 13 from the crib with its web first, out behind, cleared every 13', () => {
  const [s, ...others] = drills(bored({ id: 'b', from: 'near', through: true, surfaces: [step('a', 20, 80)] }));
  expect(others).toEqual([]);
  expect(lastDrill(s!)).toBe(13);
  expect(s!.settings[0]!.figure).toMatchObject({ label: 'pilot drill, 3.5 mm', value: 3.5 });
  // 0.8 of 25 m/min on 13 is 490, on 3.5 is 1819.
  expect([valueOf(s!, 'rpm-0'), valueOf(s!, 'rpm-1')]).toEqual([1200, 200]);
  // A part-off of 3 and 2 more.
  expect(valueOf(s!, 'deep')).toBe(85);
  expect(s!.cuts!.toMm).toEqual([39, 52, 65, 78, 85]);
});

it('a blind one keeps its point, and half a millimetre, off the bottom', () => {
  const [s] = drills(bored({ id: 'b', from: 'far', through: false, surfaces: [step('a', 14, 30)] }));
  expect(lastDrill(s!)).toBe(12);
  expect(valueOf(s!, 'deep')).toBeCloseTo(30 - 6 / Math.tan((59 * Math.PI) / 180) - 0.5, 9);
});

it('no drill cuts beyond the bore, wherever its steps lie, and each takes something', () => {
  const random = seededRandom(5);
  const between = (a: number, b: number): number => a + (b - a) * random();
  let stepped = 0;
  const beyond: string[] = [];
  for (let trial = 0; trial < 200; trial++) {
    const count = 1 + Math.floor(random() * 3);
    const surfaces = Array.from({ length: count }, (_, i) => step(`s${i}`, between(8, 60), between(6, 25)));
    const bore: Bore = { id: 'b', from: random() < 0.5 ? 'near' : 'far', through: random() < 0.5, surfaces };
    const part = bored(bore, 90);
    const length = partLengthMm(part);
    const rows = placeBore(part, bore).map((s) => ({
      r: s.diameterMm / 2,
      from: bore.from === 'near' ? s.fromMm : length - s.toMm,
      to: bore.from === 'near' ? s.toMm : length - s.fromMm,
    }));
    const room = (x: number): number => (bore.through && x >= length ? Infinity : (rows.find((s) => x >= s.from && x < s.to)?.r ?? 0));
    // The hole as it is once each drill of the list went in, to a hundredth of a millimetre along.
    const all = drills(part);
    if (all.length > 1) stepped++;
    const hole = new Float64Array(11_000);
    for (const s of all) {
      const [r, deep] = [lastDrill(s) / 2, valueOf(s, 'deep')];
      let taken = 0;
      for (let i = 0; i < hole.length; i++) {
        const x = i / 100;
        const own = x <= deep ? r : Math.max(0, r - (x - deep) * Math.tan((59 * Math.PI) / 180));
        // What an earlier drill took already this one does not cut.
        if (own > hole[i]!) {
          if (own > room(x) + 1e-9) beyond.push(`${trial}: ${s.title} at ${x}`);
          taken++;
          hole[i] = own;
        }
      }
      expect(taken).toBeGreaterThan(0);
    }
  }
  expect(beyond).toEqual([]);
  expect(stepped).toBeGreaterThan(20);
});

it('too small for a bar it is drilled and reamed, by a drill that leaves what a reamer takes', () => {
  const [s] = drills(bored({ id: 'b', from: 'near', through: true, surfaces: [step('a', 6.2, 80)] }));
  expect(s!.title).toBe('Drill and ream bore a');
  // 0.15 to 0.3 left of 6.2: 6.0 of the half millimetres that hang there.
  expect(lastDrill(s!)).toBe(6);
  expect(s!.tools).toEqual([{ kind: 'reamer', sizeMm: 6.2 }]);
});

it('what is wider than the way to it no drill reaches', () => {
  const recess: Bore = { id: 'b', from: 'near', through: false, surfaces: [step('a', 20, 20), step('b', 40, 20)] };
  expect(drills(bored(recess)).map((s) => s.id)).toEqual(['a']);
});

it('a tube has its hole already', () => {
  const tube = bored({ id: 'b', from: 'near', through: true, surfaces: [step('a', 20, 80)] });
  expect(schedulesOf(tube, { ...BENCH, holeMm: 12 })).toEqual([]);
});

it('a drill goes no faster than what holds the work bears, and where no gear is so slow the slowest is told', () => {
  const bush = bored({ id: 'b', from: 'near', through: true, surfaces: [step('a', 20, 80)] });
  const rpms = (mostRpm: number): number[] =>
    schedulesOf(bush, { ...BENCH, mostRpm: (id) => (id === 'a' ? mostRpm : null) })[0]!.settings.flatMap((x) =>
      x.figure.measure === 'rpm' ? [x.figure.value] : [],
    );
  expect([rpms(600), rpms(300), rpms(40)]).toEqual([
    [500, 200],
    [200, 200],
    [70, 70],
  ]);
});
