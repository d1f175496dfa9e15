import { surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { wiresAt } from './over-wires';
import { usualPlan } from './plan-finding';
import { workOut, type Repair } from './repair';
import { testChoice, testInstrument, testReading, testSheet, testShop } from './testing';

const THREAD = { kind: 'thread', end: 'right', threadClass: '6g', hand: 'right', starts: 1, lengthMm: 20 } as const;
const STUD: Part = {
  ...{ name: 'Stud', materialId: 'steel-c45', limits: {}, block: null },
  outside: [surface('a', 'cylinder', 'Body', 60, 30), surface('b', 'cylinder', 'Nut end', 30, 20)],
  bores: [{ id: 'bore', from: 'near', through: false, surfaces: [surface('h', 'cylinder', 'Hole', 25, 10.2)] }],
  features: [
    { ...THREAD, id: 't', on: 'b', name: 'Nut thread', thread: 'M20' },
    { ...THREAD, id: 'own', on: 'a', name: 'Odd thread', thread: '' },
    { ...THREAD, id: 'in', on: 'h', name: 'Tapped', thread: 'M12', threadClass: '6H' },
  ],
};
function worked(...overMm: number[]): Repair {
  const choices = [testChoice(choiceKey.part, STUD), testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), way: 'bar' })];
  const readings = overMm.map((valueMm) => testReading({ purpose: 'cut', segmentId: 't.over-wires', valueMm, instrumentId: 'fine' }));
  const instruments = [testInstrument('fine', { name: 'Fine', kind: 'micrometer', rangeLowMm: 0, rangeHighMm: 50, uMm: 0.002 })];
  return workOut(testSheet({ choices, readings }), { ...testShop, instruments });
}
const at = (repair: Repair, key: string) => wiresAt(repair.part!, repair, key);

it('gives the pitch diameter of an outside thread that the book knows, and of nothing else', () => {
  const repair = worked();
  const wires = at(repair, 't.pitch-diameter')!;
  // The best wire of a 60° thread touches at the pitch line: P / (2 cos 30°).
  expect(wires.bestWireMm).toBeCloseTo(2.5 / (2 * Math.cos(Math.PI / 6)), 3);
  // M20, basic 18.376: a wire of 1.443 stands 3 w - 0.866 P over it, and a hair for the lead angle.
  const pitch = wires.pitch(1.443, 18.376 + 3 * 1.443 - (Math.sqrt(3) / 2) * 2.5);
  expect(pitch.ok && pitch.value).toBeCloseTo(18.376, 2);
  expect(wires.pitch(4, 25)).toMatchObject({ ok: false });
  for (const key of ['own.pitch-diameter', 'in.pitch-diameter', 't.length', 'b', 'nothing']) expect(at(repair, key)).toBeNull();
});

it('knows what it read over them when it was cut', () => {
  expect(at(worked(), 't.pitch-diameter')!.atCutMm).toBeNull();
  expect(at(worked(20.9, 20.62), 't.pitch-diameter')!.atCutMm).toBeCloseTo(20.62, 6);
});
