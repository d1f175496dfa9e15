import { newPart } from '../part';
import type { Bar } from './bar';
import { blankOf, blankWords, isFlat, isOfShape, overCornersMm, moreSkinMm } from './blank';
import { parseBar } from './parse-bar';
import { chooseBars, stockFit, stockNeed } from './stock';
import { USUAL_ALLOWANCES } from './stock-fit';

const typed = (line: string): Bar => {
  const read = parseBar(line, 'mm');
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return { ...read.value, id: line, version: 1 };
};
const ring = newPart('repair-ring', 'Ring', 100, 20);
const bored = Math.min(...ring.bores.flatMap((b) => b.surfaces.map((s) => s.diameterMm)));
const largest = Math.max(...ring.outside.map((s) => s.diameterMm));
/** Faced both ends, not cut off from anything. */
const SAWN = { ...USUAL_ALLOWANCES, cutsOff: false };
const need = stockNeed(ring, SAWN);
const fitOf = (cutsOff = false) => stockFit(ring, need, { ...SAWN, cutsOff }, { ownSizeMm: null, boreMm: bored });
const will = (line: string, cutsOff = false): boolean =>
  chooseBars(fitOf(cutsOff), need, [{ ...typed(line), materialId: ring.materialId }], 1).ok;

it('rings, castings and weldments have a bore, plates a thickness; a casting may be solid', () => {
  expect(typed('ring 120 x 60 x 30 C45')).toMatchObject({ shape: 'ring', diameterMm: 120, innerMm: 60, lengthMm: 30 });
  expect(typed('plate 300 x 25 x 1000 C45')).toMatchObject({ shape: 'plate', diameterMm: 300, innerMm: 25, lengthMm: 1000 });
  expect(typed('casting 120 x 40 CuSn12')).toMatchObject({ shape: 'casting', innerMm: null });
  expect(typed('weldment 120 x 60 x 40 C45')).toMatchObject({ shape: 'weldment', innerMm: 60 });
  expect(parseBar('ring 120 x 30 C45', 'mm')).toMatchObject({ ok: false, problems: [{ message: 'A ring is outside x bore x length.' }] });
  expect(parseBar('plate 20 x 300 x 1000 C45', 'mm')).toMatchObject({ ok: false });
});

it('a ring of metal left in its bore will do; a casting only with its skin all round', () => {
  const outside = Math.ceil(largest + 2);
  expect(will(`ring ${outside} x ${(bored - 2).toFixed(0)} x 40 C45`)).toBe(true);
  expect(will(`ring ${outside} x ${(bored + 1).toFixed(0)} x 40 C45`)).toBe(false);
  // Skin of 6 on the diameter: a bar of that size would do, the casting does not.
  expect(will(`${outside} x 40 C45`)).toBe(true);
  expect(will(`casting ${outside} x 40 C45`)).toBe(false);
  expect(will(`casting ${Math.ceil(largest + 6)} x 40 C45`)).toBe(true);
  expect(moreSkinMm({ shape: 'round' })).toBe(0);
});

it('a disc comes out of plate that is thick enough, where nothing has to be held on; it takes its width of the length', () => {
  // 20 long and faced by 1 an end: 22 thick.
  expect([will('plate 400 x 22 x 900 C45'), will('plate 400 x 21 x 900 C45')]).toEqual([true, false]);
  expect(will('plate 400 x 22 x 900 C45', true)).toBe(false);
  const plate = typed('plate 400 x 22 x 900 C45');
  const blank = blankOf(plate, fitOf());
  expect(blank).toEqual({ roundMm: need.diameter.value + 6, holeMm: null, alongMm: need.diameter.value + 6 + SAWN.sawMm });
  // So wide the plate has to be too.
  expect([will(`plate ${Math.ceil(blank.roundMm)} x 22 x 900 C45`), will(`plate ${Math.floor(blank.roundMm - 1)} x 22 x 900 C45`)]).toEqual(
    [true, false],
  );
  const chosen = chooseBars(fitOf(), need, [{ ...plate, materialId: ring.materialId }], 1);
  if (!chosen.ok) throw new Error('no plate');
  expect(chosen.value[0]!.left.value).toBeCloseTo(900 - blank.alongMm, 9);
});

it('tells what to mind of each, and nothing of a bar', () => {
  expect(blankWords({ shape: 'round' })).toBe('');
  expect(blankWords({ shape: 'casting' })).toContain('goes right under');
  expect(blankWords({ shape: 'weldment' })).toContain('annealed');
  expect(blankWords({ shape: 'plate' })).toContain('across the rolling');
  expect([isFlat({ shape: 'flat' }), isFlat({ shape: 'tube' })]).toEqual([true, false]);
  expect(blankWords({ shape: 'hexagon' })).toContain('corners strike the tool');
  expect([isOfShape({ shape: 'hexagon', innerMm: null }, fitOf()), isOfShape({ shape: 'ring', innerMm: 500 }, fitOf())]).toEqual([
    true,
    false,
  ]);
});

it('over its corners a hexagon and a square are as wide as their corners lie apart', () => {
  const over = (sides: number): number => {
    // The polygon round a circle of 10: its corners from the crossing of two neighbouring sides.
    const half = Math.PI / sides;
    const corner = (i: number): [number, number] => [
      (5 / Math.cos(half)) * Math.cos((2 * i + 1) * half),
      (5 / Math.cos(half)) * Math.sin((2 * i + 1) * half),
    ];
    const [p, q] = [corner(0), corner(sides / 2)];
    return Math.hypot(p[0] - q[0], p[1] - q[1]);
  };
  expect(overCornersMm({ shape: 'hexagon', diameterMm: 10 })).toBeCloseTo(over(6), 9);
  expect(overCornersMm({ shape: 'square', diameterMm: 10 })).toBeCloseTo(over(4), 9);
  expect(overCornersMm({ shape: 'round', diameterMm: 10 })).toBe(10);
});
