import { surface, type Part, type PartFeature } from '../../making/part';
import { asCut, treatedAt } from './as-cut';
import { treatmentOf } from './before-treatment';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { testChoice, testItem, testReading, testSheet, testShop } from './testing';
import type { JobSheet } from './records';

const CLOSE = { lowerDev: -0.02, upperDev: 0, text: '+0 -0.02' };
/** A rod end of 25 that is plated 0.025 a side, and a plain one of 30 beside it. */
const sheetOf = (process: string, where: string, aSideMm: number, plusMinusMm = 0.003): JobSheet => {
  const treatment = {
    ...{ id: 't', kind: 'treatment', on: 'rod', name: 'Treatment', by: '', masked: '' },
    ...{ process, where, aSideMm, plusMinusMm },
  } as PartFeature;
  const part: Part = {
    ...{ name: 'Rod', materialId: 'steel-c45', bores: [], block: null, features: [treatment], limits: { rod: CLOSE, plain: CLOSE } },
    outside: [surface('rod', 'cylinder', 'Rod', 60, 25), surface('plain', 'cylinder', 'Plain', 30, 30)],
  };
  return testSheet({
    places: [],
    readings: [],
    choices: [testChoice(choiceKey.part, part), testChoice(choiceKey.item('job'), testItem('make', 'Rod', { componentIds: ['pin'] }))],
  });
};
/** The size before it read twice in the middle of its limits, and passed at noon of the 22nd. */
function passed(sheet: JobSheet, passes = true): JobSheet {
  const { pieces } = workOut(sheet, testShop).items[0]!;
  const { limits, dimension } = pieces[0]!.proofs.find((p) => p.dimension.dimension.before)!;
  const mm = (limits.lowerMm + limits.upperMm) / 2;
  const { key } = dimension.dimension;
  const readings = [0, 90].map((clockDeg) => testReading({ purpose: 'proof', segmentId: key, clockDeg, valueMm: mm, instrumentId: 'mic' }));
  const proof = {
    ...{ id: 'p', jobId: 'job', itemId: 'job', piece: 1, segmentId: key, passed: passes, measuredMm: mm },
    ...{ gaugedWith: '', remark: '', personId: 'tomas', at: '2026-11-22T12:00:00Z' },
  };
  return { ...sheet, readings, proofs: [proof] };
}
const cutOf = (sheet: JobSheet) => {
  const { part, pieces } = workOut(sheet, testShop).items[0]!;
  return asCut(part!, pieces[0]!.proofs).map((s) => [s.segment.name, s.diameter.value] as const);
};

it('what is to be plated is cut under size by both layers; its neighbour is cut as it is', () => {
  const [rod, plain] = cutOf(sheetOf('plate', 'elsewhere', 0.025));
  // 24.98 to 25.00 less 0.022 to 0.028 on both sides is 24.936 to 24.944: its middle.
  expect(rod).toEqual(['Rod, before plating', expect.closeTo(24.94, 6)]);
  expect(plain![1]).toBeCloseTo(29.99, 6);
});

it('once its size before is passed, nothing of it is cut any more where another shop does the rest', () => {
  expect(cutOf(passed(sheetOf('plate', 'elsewhere', 0.025))).map(([name]) => name)).toEqual(['Plain']);
});

it('and is cut to its finished size where this shop grinds it', () => {
  const cut = cutOf(passed(sheetOf('ground', 'here', 0.2, 0.03)));
  expect(cut.map(([name]) => name)).toEqual(['Rod', 'Plain']);
  expect(cut[0]![1]).toBeCloseTo(24.99, 6);
});

it('a size before that failed is no size before', () => {
  const sheet = passed(sheetOf('plate', 'elsewhere', 0.025), false);
  expect(cutOf(sheet)[0]![0]).toBe('Rod, before plating');
  const { part, pieces } = workOut(sheet, testShop).items[0]!;
  expect(treatedAt(treatmentOf(part!.part, 'rod')!, pieces[0]!.proofs)).toBeNull();
});

it('counts as treated from when it was passed', () => {
  const { part, pieces } = workOut(passed(sheetOf('plate', 'elsewhere', 0.025)), testShop).items[0]!;
  expect(treatedAt(treatmentOf(part!.part, 'rod')!, pieces[0]!.proofs)).toBe(Date.parse('2026-11-22T12:00:00Z'));
});
