import { seededRandom } from '../../evidence/proof';
import { dimensionsOf, FEATURE_KINDS, hostOf, kindOf, type FeatureKindId, type Part, type TypedLimits } from '../../making/part';
import { anyPart } from '../../making/part/testing-parts';
import { choiceKey } from './choices';
import { newStep, type ItemStep } from './items';
import type { JobSheet, ProofRecord, ReadingRecord } from './records';
import { workOut } from './repair';
import { testChoice, testInstrument, testItem, testReading, testSheet, testShop } from './testing';

const CLOSE: TypedLimits = { lowerDev: -0.05, upperDev: 0.05, text: '±0.05' };
const [BEFORE, ACT, AFTER] = ['2026-11-21T10:00:00Z', '2026-11-22T09:00:00Z', '2026-11-23T10:00:00Z'] as const;
/** Reads anything to a micrometre, so that a reading in the middle of its limits is in. */
const exact = testInstrument('exact', { uMm: 0.0001, repeatMm: 0.0001, rangeLowMm: 0, rangeHighMm: 1000 });
const shop = { ...testShop, instruments: [...testShop.instruments, exact] };

const jobOf = (part: Part, steps: readonly ItemStep[] = []): JobSheet =>
  testSheet({
    components: testSheet().components.map((c) => (c.id === 'pin' ? { ...c, verdict: 'remake' as const } : c)),
    places: [],
    readings: [],
    choices: [
      testChoice(choiceKey.part, part),
      testChoice(choiceKey.item('job'), testItem('make', 'Any', { componentIds: ['pin'], steps })),
    ],
  });
const itemOf = (sheet: JobSheet) => workOut(sheet, shop).items[0]!;
const proofsOf = (sheet: JobSheet) => itemOf(sheet).pieces[0]!.proofs;

/** The same part with limits for every seat that nothing limits by itself. */
function limited(part: Part): Part {
  const { unlimited } = itemOf(jobOf(part)).part!;
  return { ...part, limits: { ...part.limits, ...Object.fromEntries(unlimited.map((d) => [d.dimension.key, CLOSE])) } };
}

/** Everything that has to be proved, read or gauged in the middle of its limits and passed. */
function proved(sheet: JobSheet, takenAt: string): { readonly readings: ReadingRecord[]; readonly proofs: ProofRecord[] } {
  const must = proofsOf(sheet).filter((p) => p.dimension.mustProve);
  const middle = ({ limits }: (typeof must)[number]): number => (limits.lowerMm + limits.upperMm) / 2;
  return {
    readings: must.flatMap((p) =>
      p.gauged
        ? []
        : [0, 90].map((clockDeg) =>
            testReading({
              ...{ purpose: 'proof', segmentId: p.dimension.dimension.key, clockDeg, valueMm: middle(p), instrumentId: 'exact' },
              ...{ quantity: p.dimension.dimension.what === 'relation' ? 'indicator' : 'size', takenAt },
            }),
          ),
    ),
    proofs: must.map((p, i) => ({
      ...{ id: `p${i}`, jobId: 'job', itemId: 'job', piece: 1, segmentId: p.dimension.dimension.key, passed: true },
      ...{ measuredMm: middle(p), gaugedWith: p.gauged ? 'a gauge' : '', remark: '', personId: 'tomas', at: takenAt },
    })),
  };
}
const unproved = (sheet: JobSheet): string[] =>
  proofsOf(sheet)
    .filter((p) => p.dimension.mustProve && !p.signed?.passed)
    .map((p) => p.dimension.dimension.key);

const random = seededRandom(7);
const PARTS = Array.from({ length: 25 }, () => limited(anyPart(random)));

it('are drawn of every kind', () => {
  const used = new Set(PARTS.flatMap((p) => p.features.map((f) => f.kind)));
  expect((Object.keys(FEATURE_KINDS) as FeatureKindId[]).filter((k) => !used.has(k))).toEqual([]);
});

it('every dimension of any part is released, once', () => {
  for (const part of PARTS) {
    const { part: found, releasable } = itemOf(jobOf(part));
    expect(found!.unlimited).toEqual([]);
    expect(found!.dimensions.map((d) => d.dimension.key).sort()).toEqual(
      dimensionsOf(part)
        .map((d) => d.key)
        .sort(),
    );
    for (const { figure } of found!.dimensions) expect(releasable.filter((f) => f.key === figure.key)).toHaveLength(1);
    expect(new Set(releasable.map((f) => f.key)).size).toBe(releasable.length);
  }
});

it('every act for a feature of any part is done in one holding, no other', () => {
  for (const part of PARTS) {
    const setUps = itemOf(jobOf(part)).plan!.setUps.map(({ setUp }) => setUp);
    for (const f of part.features) {
      const holdings = setUps.filter((s) => s.cuts.includes(f.id));
      expect([f.kind, holdings.length]).toEqual([f.kind, 1]);
      // Plain edges have a line of their own in each holding.
      if (f.kind !== 'chamfer')
        for (const act of kindOf(f.kind).operations(f, hostOf(part, f.on)!))
          expect(holdings[0]!.operations.filter((o) => o.toLowerCase().startsWith(`${f.name}: ${act.words}`.toLowerCase()))).not.toEqual(
            [],
          );
    }
  }
});

it('what must be proved is proved once for as long as nothing moves it, and all of it again after what moves sizes', () => {
  for (const part of PARTS.slice(0, 12)) {
    const sheet = jobOf(part);
    const must = proofsOf(sheet)
      .filter((p) => p.dimension.mustProve)
      .map((p) => p.dimension.dimension.key);
    expect(unproved(sheet)).toEqual(must);
    const early = { ...sheet, ...proved(sheet, BEFORE) };
    expect(unproved(early)).toEqual([]);
    for (const what of [
      'Weld the lug on',
      'Have it hard chromed',
      'Straighten in the press',
      'Have it case hardened',
      'Have it ground to size',
    ]) {
      const moved = jobOf(part, [{ ...newStep(what, 'make'), done: true, doneAt: ACT }]);
      const stale = { ...moved, readings: early.readings, proofs: early.proofs };
      // What it was before a treatment was read before, and stays.
      expect([what, unproved(stale)]).toEqual([what, must.filter((key) => !key.endsWith('.before'))]);
      const late = proved(moved, AFTER);
      expect(unproved({ ...stale, readings: [...stale.readings, ...late.readings], proofs: [...stale.proofs, ...late.proofs] })).toEqual(
        [],
      );
    }
    const still = jobOf(part, [{ ...newStep('Fit the pinion', 'make'), done: true, doneAt: ACT }]);
    expect(unproved({ ...still, readings: early.readings, proofs: early.proofs })).toEqual([]);
  }
});
