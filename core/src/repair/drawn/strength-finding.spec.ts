import { mirrored, newPart, surface, type Part, type PartFeature } from '../../making/part';
import { strengthFinding } from './strength-finding';

const shaft = (materialId = 'steel-c45', seatMm = 25, features: object[] = []): Part => ({
  ...newPart('plain-pin', 'Shaft', 30, 100),
  materialId,
  outside: [surface('a', 'cylinder', 'Seat', 40, seatMm), surface('b', 'cylinder', 'Body', 60, 35)],
  features: features as PartFeature[],
});
const fillet = { id: 'f', kind: 'fillet', on: 'a', name: 'Fillet', end: 'right', radiusMm: 2 };
const old = (part = shaft()) => ({ part, materialId: part.materialId });

it('the same part in the same steel bears the same', () => {
  const found = strengthFinding(old(), shaft())!;
  expect(found.rows.map((r) => [r.load, r.ratio!.value])).toEqual([
    ['bending', 1],
    ['torsion', 1],
    ['tension', 1],
  ]);
  expect(found.weaker).toEqual([]);
  expect(found.byShape).toBe(false);
});

it('a radius in the corner makes it stronger, a thinner seat weaker, and it says where', () => {
  const better = strengthFinding(old(), shaft('steel-c45', 25, [fillet]))!;
  for (const r of better.rows) expect(r.ratio!.value).toBeGreaterThan(1.05);
  expect(better.weaker).toEqual([]);
  const worse = strengthFinding(old(), shaft('steel-c45', 22))!;
  // By the cube of the diameter bent and twisted, somewhat less by the deeper step; by the square pulled.
  const by = Object.fromEntries(worse.rows.map((r) => [r.load, r.ratio!.value]));
  expect(by['bending']).toBeLessThan((22 / 25) ** 3 * 1.03);
  expect(by['bending']).toBeGreaterThan((22 / 25) ** 3 * 0.8);
  expect(worse.weaker.map((w) => [w.load, w.atMm])).toEqual(
    expect.arrayContaining([
      ['bending', 40],
      ['torsion', 20],
    ]),
  );
});

it('a stronger steel is stronger, but less than its strength says, as it feels notches more', () => {
  const [bent] = strengthFinding(old(), shaft('steel-42crmo4-qt'))?.rows ?? strengthFinding(old(), shaft('steel-42crmo4'))!.rows;
  expect(bent!.ratio!.value).toBeGreaterThan(1);
});

it('where the old steel is not known only the shapes are told apart', () => {
  const found = strengthFinding({ part: shaft('unknown'), materialId: 'unknown' }, shaft('steel-c45', 25, [fillet]))!;
  expect(found.byShape).toBe(true);
  expect(found.rows[0]!.ratio!.value).toBeGreaterThan(1);
});

it('does not hold a place against an old part that was not read there', () => {
  const longer = { ...shaft(), outside: [...shaft().outside, surface('c', 'cylinder', 'Thread end', 20, 15)] };
  const [bent] = strengthFinding(old(), longer)!.rows;
  expect(bent).toMatchObject({ new: { bearing: { atMm: 100 } }, ratio: null });
  expect(bent!.old).not.toBeNull();
});

it('says nothing without a material, of a block, of a drawing with problems; and only the new where the old was not read', () => {
  expect(strengthFinding(null, shaft('unknown'))).toBeNull();
  expect(strengthFinding(null, newPart('block', 'Jaw', 20, 40))).toBeNull();
  expect(strengthFinding(null, shaft('steel-c45', 0))).toBeNull();
  expect(strengthFinding(null, shaft())!.rows[0]).toMatchObject({ old: null, ratio: null });
  expect(strengthFinding(null, shaft())!.beyond).toContain('the shoulder of Seat, no radius given');
});

it('the other hand of a part bears what the part does, and is no weaker anywhere', () => {
  const stepped = shaft('steel-c45', 25, [fillet]);
  const found = strengthFinding(old(stepped), mirrored(stepped))!;
  for (const r of found.rows) expect(r.ratio!.value).toBeCloseTo(1, 9);
  expect(found.weaker).toEqual([]);
});
