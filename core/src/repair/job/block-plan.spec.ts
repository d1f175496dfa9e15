import { cutKindOf, newPart, type BlockCut, type Part } from '../../making/part';
import type { Bar } from '../../making/stock';
import { sceneSvg } from '../../making/scene';
import { choiceKey } from './choices';
import { drawingSheet } from './drawing-sheet';
import { freeze } from './release';
import { workOut } from './repair';
import { blankNeed, comesOutOf, noBarWords, onRack, sawNeeds } from './saw-need';
import { testBar, testChoice, testPlace, testReading, testSheet, testShop } from './testing';
import type { JobSheet } from './records';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const hole = (own: object): BlockCut =>
  ({
    ...cutKindOf('hole').start(SIZES, 'top'),
    id: 'h',
    kind: 'hole',
    on: 'top',
    name: 'Hole',
    made: 'bored',
    fitsPlaceIds: [],
    ...own,
  }) as unknown as BlockCut;
const link = (own: object, limits: Part['limits'] = {}, cuts: BlockCut[] = []): Part => ({
  name: 'Link',
  materialId: 'steel-mild',
  outside: [],
  bores: [],
  features: [],
  block: { ...SIZES, cuts: [hole(own), ...cuts] },
  limits,
});
const job = (part: Part, more: Partial<JobSheet> = {}) =>
  testSheet({ ...more, choices: [testChoice(choiceKey.part, part), ...(more.choices ?? [])] });
const H7 = { h: { lowerDev: 0, upperDev: 0.018, text: 'H7' } };
const found = (sheet: JobSheet) => workOut(sheet, testShop);
const state = (sheet: JobSheet, id: string) => found(sheet).stations.find((s) => s.id === id)!;

describe('a block from Draw to Prove', () => {
  it('waits for limits of what is bored, is planned face by face, and released without bar or lathe', () => {
    const bare = job(link({ diameterMm: 16 }));
    expect(state(bare, 'draw').waitsFor).toBe('limits for the hole, diameter');
    const drawn = job(link({ diameterMm: 16 }, H7));
    expect(['draw', 'plan'].map((id) => state(drawn, id).state)).toEqual(['done', 'not-yet']);
    const { blockPlan, plan, releasable } = found(drawn);
    expect(plan).toBeNull();
    expect(blockPlan!.stock.map((f) => f.value)).toEqual([64, 44, 34]);
    expect(blockPlan!.setUps.map((s) => s.title)).toEqual(['Square the block', 'From the top']);
    const keys = releasable.map((f) => f.key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const d of found(drawn).part!.dimensions) expect(keys).toContain(d.figure.key);
    expect(keys).toEqual(expect.arrayContaining(['stock.length', 'stock.width', 'stock.height']));
  });

  it('is sawn once it is released, the way round that wastes least of what is on the rack', () => {
    const part = link({ diameterMm: 16 }, H7);
    const drawn = job(part);
    const needs = (sheet: JobSheet) => sawNeeds(found(sheet).items, sheet);
    expect(needs(drawn)).toEqual([]);
    const figures = freeze(found(drawn).releasable, 'mm');
    const releases = [{ id: 'r', jobId: 'job', itemId: 'job', figures, personId: 'tomas', at: '' }];
    const [need, ...others] = needs(job(part, { releases }));
    expect(others).toEqual([]);
    expect(need).toMatchObject({ left: 1, each: 1, block: [64, 44, 34], only: null });
    const flat = (id: string, wide: number, thick: number, lengthMm = 1000) =>
      testBar(id, { shape: 'flat', materialId: 'steel-mild', diameterMm: wide, innerMm: thick, lengthMm });
    const lengthOn = (...rack: Bar[]) => onRack(need!, rack).fit.lengthMm;
    // Out of 50 x 40 it is 64 and the saw long, out of 70 x 40 only 44, out of 65 x 50 34.
    expect([lengthOn(flat('a', 50, 40)), lengthOn(flat('b', 70, 40)), lengthOn(flat('c', 65, 50))]).toEqual([66.5, 46.5, 36.5]);
    // Both lie on the rack: 133 cm3 against 130, and only what is cut as long as that goes to the saw with it.
    const both = [flat('a', 50, 40), flat('b', 70, 40), flat('d', 71, 40)];
    const laid = onRack(need!, both);
    expect(laid.fit.lengthMm).toBe(46.5);
    expect(blankNeed('k', laid, both)).toEqual({ id: 'k', lengthMm: 46.5, count: 1, barIds: ['b', 'd'] });
    expect([comesOutOf(laid, both[1]!), comesOutOf(laid, both[0]!), comesOutOf(laid, flat('e', 60, 40))]).toEqual([true, false, false]);
    expect(noBarWords(need!, [flat('e', 40, 40)])).toContain('that 64.0 x 44.0 x 34.0 mm comes out of');
    const sawn = testChoice(choiceKey.sawn('job'), { blanks: 1, pieces: 1 });
    expect(needs(job(part, { releases, choices: [sawn] }))).toEqual([]);
  });

  it('each input that moves is marked: a size, a place, a hole that comes, its material’s stock', () => {
    const now = job(link({ diameterMm: 16 }, H7));
    const release = { id: 'r', jobId: 'job', itemId: 'job', figures: freeze(found(now).releasable, 'mm'), personId: 'tomas', at: '' };
    const moved = (part: Part) => found(job(part, { releases: [release] })).moved.map((m) => m.key);
    expect(moved(link({ diameterMm: 16 }, H7))).toEqual([]);
    expect(moved(link({ diameterMm: 16, atMm: 25 }, H7))).toEqual(['segment.h.at']);
    expect(moved({ ...link({ diameterMm: 16 }, H7), block: { ...link({ diameterMm: 16 }).block!, heightMm: 32 } })).toEqual([
      'segment.block.height',
      'stock.height',
    ]);
    const second = { ...hole({ diameterMm: 8, made: 'drilled', atMm: 10, upMm: 10 }), id: 'second' };
    expect(moved(link({ diameterMm: 16 }, H7, [second]))).toEqual(expect.arrayContaining(['segment.second.diameter', 'segment.second.at']));
    expect(moved(link({ diameterMm: 16 }))).toContain('segment.h.diameter.upper');
  });

  it('a bored hole is coached outwards, a drilled one is not; both are proved all round', () => {
    const sheet = job(link({ diameterMm: 16 }, H7, [{ ...hole({ diameterMm: 8, made: 'drilled', atMm: 10, upMm: 10 }), id: 'd' }]));
    const repair = found(sheet);
    expect(repair.cuts.map((c) => c.segment.segment.id)).toEqual(['h']);
    const cut = testReading({ purpose: 'cut', segmentId: 'h', valueMm: 15.8, dial: 0, instrumentId: 'tele' });
    const [advised] = found({ ...sheet, readings: [...sheet.readings, cut] }).cuts;
    expect(advised!.left!.value).toBeCloseTo(16.009 - 15.8, 3);
    expect(repair.proofs.filter((p) => p.name === 'Hole')).toHaveLength(2);
    const over = testReading({ purpose: 'proof', segmentId: 'h', valueMm: 16.2, instrumentId: 'tele' });
    expect(found({ ...sheet, readings: [...sheet.readings, over] }).proofs.find((p) => p.dimension.dimension.key === 'h')!.verdict).toBe(
      'out',
    );
  });

  it('stands at Cut until something of it is read, where nothing is coached', () => {
    const part = link({ diameterMm: 16, made: 'drilled' });
    const release = { id: 'r', jobId: 'job', itemId: 'job', figures: freeze(found(job(part)).releasable, 'mm'), personId: 'tomas', at: '' };
    const sheet = job(part, { releases: [release] });
    expect(state(sheet, 'cut')).toMatchObject({ state: 'not-yet', waitsFor: 'the piece to be made and read' });
    const read = testReading({ purpose: 'proof', segmentId: 'block.length', valueMm: 60, instrumentId: 'mic' });
    expect(state({ ...sheet, readings: [...sheet.readings, read] }, 'cut').state).toBe('done');
  });

  it('its hole takes the size of the shaft that stays: 30 with grease is bored over 30', () => {
    const base = testSheet();
    const shaft = testPlace('shaft', { componentId: 'shaft-part', side: 'outside', matesPlaceId: 'worn-hole' });
    const worn = testPlace('worn-hole', { componentId: 'pin', side: 'inside' });
    const components = [...base.components, { ...base.components[1]!, id: 'shaft-part', name: 'Shaft' }];
    const readings = [0, 45, 90, 135].map((clockDeg) => testReading({ placeId: 'shaft', stationMm: 20, clockDeg, valueMm: 30 }));
    const choices = [testChoice(choiceKey.runs('shaft'), { kind: 'running-grease' })];
    const sheet = job(link({ diameterMm: 10, fitsPlaceIds: ['shaft'] }), { components, places: [shaft, worn], readings, choices });
    const { part, bores } = found(sheet);
    const d = part!.dimensions.find((x) => x.dimension.key === 'h')!;
    expect(d).toMatchObject({ from: 'fit', limits: { lowerMm: bores[0]!.figures!.lower.value } });
    expect(d.figure.value).toBeGreaterThan(30.05);
    // The drawing shows what the fit made of it.
    expect(part!.part.block!.cuts[0]).toMatchObject({ diameterMm: d.figure.value });
  });

  it('a mirror finish is written as fine as it is asked for', () => {
    const pin = newPart('plain-pin', 'Pin', 40, 100);
    const fine = { id: 'f', kind: 'surface-finish', on: 'body', name: 'Surface', raUm: 0.125, how: 'polished' } as const;
    const { part } = found(testSheet({ choices: [testChoice(choiceKey.part, { ...pin, features: [fine] })] }));
    expect(sceneSvg(drawingSheet(part!, { title: 'Pin', released: '', quantity: 1 }, 'mm'))).toContain('at most 0.125 µm');
  });

  it('is drawn in three views with its hole table', () => {
    const { part } = found(job(link({ diameterMm: 16, atMm: 20, upMm: 15 }, H7)));
    const svg = sceneSvg(drawingSheet(part!, { title: 'Link', released: '', quantity: 1 }, 'mm'));
    expect(svg).toContain('first-angle projection');
    expect(svg).toContain('A: Hole, top: diameter 16.000 to 16.018, centre from the left edge 19.800 to 20.200');
    expect(svg).toContain('stroke-dasharray="2 1"');
  });
});
