import { choiceKey } from './choices';
import { newItem, newStep } from './items';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';
import type { JobSheet } from './records';
import type { BeadChoice, WeldChoice, WeldFinding } from './welded';

const item = { ...newItem('join', 'Ring on the tube', ['pin', 'barrel-part'], 0), steps: [newStep('Weld it round', 'join')] };
const SEAM: WeldChoice = {
  ...{ materialId: 'steel-s355', otherId: 'steel-mild', seam: 'bevel', sizeMm: 5, bevelDeg: 35, diameterMm: 90 },
  ...{ thickMm: 12, way: 'wire', heatKjMm: 1, spare: false },
};
const seam = (more: Partial<WeldChoice> = {}) => testChoice(choiceKey.weld('item'), { ...SEAM, ...more });
let minute = 0;
const laid = (kind: BeadChoice['kind'], index: number, more: Partial<BeadChoice> = {}) =>
  testChoice(choiceKey.bead(`${kind}${index}`), {
    ...{ itemId: 'item', kind, index, tempC: null, removed: false, laidAt: new Date(1.7e12 + 60_000 * minute++).toISOString() },
    ...more,
  } satisfies BeadChoice);
const weld = (...choices: JobSheet['choices'][number][]): WeldFinding =>
  workOut(testSheet({ choices: [testChoice(choiceKey.item('item'), item), ...choices] }), testShop).items.find((i) => i.item.id === 'item')!
    .weld!;

describe('a seam', () => {
  it('asks what it is, with the metals that the job knows', () => {
    expect(weld()).toMatchObject({ setting: null, next: null, materials: ['steel-c45', 'steel-mild'] });
  });

  it('is tacked across and across, then run in quarters', () => {
    expect(weld(seam()).next).toEqual({ kind: 'tack', index: 0, words: 'Tack at 0°' });
    expect(weld(seam(), laid('tack', 0)).next!.words).toBe('Tack at 180°');
    const tacks = [0, 1, 2, 3].map((i) => laid('tack', i));
    const found = weld(seam(), ...tacks);
    // 12 of S355 by hand: 243.95 + 52.8 + 100.7 - 13.45 - 328 = 56; mild steel beside it asks for less.
    expect(found).toMatchObject({ runs: 1, preheatC: 60, betweenC: 250 });
    expect(found.next!.words).toBe('Run 1 of 1, from 0° to 90°');
    // What was skipped comes first; what was taken back is open again.
    expect(weld(seam(), ...tacks, laid('bead', 1)).next!.index).toBe(0);
    expect(weld(seam(), laid('tack', 0, { removed: true })).next!.index).toBe(0);
    const all = weld(seam(), ...tacks, ...[0, 1, 2, 3].map((i) => laid('bead', i)));
    expect(all.next).toBeNull();
    expect(all.sentences.join(' ')).toContain('read every bore near it');
  });

  it('is warmed as the harder of the two asks, or left to a procedure', () => {
    expect(weld(seam({ materialId: 'steel-s355', thickMm: 60, way: 'rutile-stick' })).preheatC).toBeGreaterThan(120);
    const hard = weld(seam({ otherId: 'steel-42crmo4' }));
    expect(hard.preheatC).toBeNull();
    expect(hard.sentences[0]).toContain('qualified procedure');
    expect(weld(seam({ otherId: 'unknown' })).sentences[0]).toContain('A metal that nobody knows');
    expect(weld(seam({ otherId: 'iron-grey' })).preheatC).toBeNull();
    expect(weld(seam({ materialId: 'stainless-304', otherId: 'stainless-304' }))).toMatchObject({ preheatC: 20, betweenC: 150 });
  });

  it('spares what lies near', () => {
    const near = weld(seam({ spare: true }));
    expect(near.betweenC).toBe(150);
    expect(near.sentences.join(' ')).toContain('wet cloth');
    expect(weld(seam({ spare: true, thickMm: 90, way: 'rutile-stick' })).sentences.at(-1)).toContain('weld it elsewhere');
  });
});
