import { choiceKey, type Repair } from '@iron-patch/core';
import { drawnPin, testChoice, testReading, testSheet, testShop } from '@iron-patch/core/testing';
import { workOut } from '@iron-patch/core';
import type { ReadingInput } from '@iron-patch/contract';
import { FakeServer } from '../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../testing/open-sheet';
import { TestBed } from '@angular/core/testing';
import { ReadQueue, type SheetStore } from '../sheet-data';
import { ReadingLine } from './reading-line';
import { afterReading, corrected, lineTarget } from './spot';

const nothing = { spanId: null, stationMm: null, clockDeg: null, quantity: null };
const half = testSheet().readings.filter((r) => r.placeId !== 'barrel' || r.stationMm < 20);
const plan = { latheId: 'gap-bed', barId: 'bar60', tool: 'carbide', partingMm: 3, touched: 'left', grippedMm: 25, finishes: 2 };
const planned = [
  testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }),
  testChoice(choiceKey.part, drawnPin()),
  testChoice(choiceKey.plan, plan),
];

describe('where the line stands', () => {
  const repair = (more = {}): Repair => workOut(testSheet(more), testShop);

  it('at the next planned spot, expecting what was last read there', () => {
    const t = lineTarget(repair({ readings: half }), 'measure', nothing, 'mm')!;
    expect(t).toMatchObject({
      purpose: 'found',
      placeId: 'barrel',
      spot: { stationMm: 20, clockDeg: 0, quantity: 'size' },
      title: 'Barrel bore at 20 mm, 0°',
      there: [],
    });
    expect(t.expectedMm).toBe(40.24);
  });

  it('nowhere when all is in, so that a stray number corrects nothing', () => {
    expect(lineTarget(repair(), 'measure', nothing, 'mm')).toBeNull();
    expect(lineTarget(repair(), 'decide', nothing, 'mm')).toBeNull();
  });

  it('at a picked spot, to correct the reading there', () => {
    const sheet = testSheet();
    const there = sheet.readings.find((r) => r.placeId === 'barrel' && r.stationMm === 5 && r.clockDeg === 90)!;
    const t = lineTarget(workOut(sheet, testShop), 'measure', { spanId: 'barrel', stationMm: 5, clockDeg: 90, quantity: null }, 'mm')!;
    expect(corrected(t, there.instrumentId)!.id).toBe(there.id);
    expect(corrected(t, 'another')).toBeNull();
  });

  it('corrects each instrument’s own reading where two stand at one spot, and a proof whatever it was taken with', () => {
    const standing = [
      { id: 'by-mic', instrumentId: 'mic' },
      { id: 'by-caliper', instrumentId: 'caliper' },
    ];
    const found = { ...lineTarget(repair({ readings: half }), 'measure', nothing, 'mm')!, there: standing };
    expect(corrected(found, 'mic')!.id).toBe('by-mic');
    expect(corrected(found, 'caliper')!.id).toBe('by-caliper');
    expect(corrected({ ...found, purpose: 'proof' }, 'ring')!.id).toBe('by-caliper');
  });

  it('names places in the reader’s unit', () => {
    expect(lineTarget(repair({ readings: half }), 'measure', nothing, 'in')!.title).toBe('Barrel bore at 0.787 in, 0°');
  });

  it('at the cut: first the bar, then what the coach expects, with its dial', () => {
    const first = lineTarget(repair({ choices: planned }), 'cut', { ...nothing, spanId: 'body' }, 'mm')!;
    expect(first).toMatchObject({ purpose: 'cut', segmentId: 'body', expectedMm: 60, title: 'Body, before the first cut', dial: 0 });
    const readings = [...testSheet().readings, testReading({ purpose: 'cut', segmentId: 'body', valueMm: 44.6, dial: 0 })];
    const next = lineTarget(repair({ choices: planned, readings }), 'cut', { ...nothing, spanId: 'body' }, 'mm')!;
    expect(next.expectedMm).toBeLessThan(44.6);
    expect(next.dial).toBeGreaterThan(0);
  });

  it('at the proof: two directions of each segment, of a seat at both ends, then nowhere', () => {
    const proof = (clockDeg: number, segmentId: string, stationMm = 60) =>
      testReading({ purpose: 'proof', segmentId, clockDeg, stationMm, valueMm: 40.04 });
    const at = (readings: ReturnType<typeof testReading>[]) =>
      lineTarget(repair({ choices: planned, readings: [...testSheet().readings, ...readings] }), 'prove', nothing, 'mm');
    expect(at([])).toMatchObject({ segmentId: 'head', spot: { clockDeg: 0 } });
    expect(at([proof(0, 'head')])).toMatchObject({ segmentId: 'head', spot: { clockDeg: 90 } });
    const head = [proof(0, 'head'), proof(90, 'head')];
    const end = [proof(0, 'body', 25), proof(90, 'body', 25)];
    // Read in its middle a seat is read at neither end.
    expect(at([...head, proof(0, 'body'), proof(90, 'body')])!.spot).toMatchObject({ clockDeg: 0, stationMm: expect.closeTo(25, 0) });
    expect(at([...head, ...end])!.spot).toMatchObject({ clockDeg: 0, stationMm: expect.closeTo(103, 0) });
    expect(at([...head, ...end, proof(0, 'body', 103), proof(90, 'body', 103)])).toBeNull();
  });
});

describe('where it goes after a reading', () => {
  const at = (readings: readonly ReturnType<typeof testReading>[]) => {
    const repair = workOut(testSheet({ choices: planned, readings: [...testSheet().readings, ...readings] }), testShop);
    return { repair, target: lineTarget(repair, 'prove', { ...nothing, spanId: 'head' }, 'mm')! };
  };
  const proof = (clockDeg: number) => testReading({ purpose: 'proof', segmentId: 'head', clockDeg, stationMm: 60, valueMm: 56 });

  it('a proved dimension that is picked stays in the line until it is read all round, then the next one comes', () => {
    const half = at([proof(0)]);
    expect(afterReading(half.repair, half.target)).toBeNull();
    const whole = at([proof(0), proof(90)]);
    expect(afterReading(whole.repair, whole.target)).toMatchObject({ spanId: null });
    expect(lineTarget(whole.repair, 'prove', nothing, 'mm')!.segmentId).toBe('body');
  });
});

describe('along a cut', () => {
  const cut = (valueMm: number, more: object) =>
    testReading({ purpose: 'cut', segmentId: 'body', valueMm, instrumentId: 'mic', takenAt: '2026-03-02T09:00:00Z', ...more });
  const at = (...stationsMm: number[]) => {
    const readings = [
      cut(41, { dial: 0.1 }),
      ...stationsMm.map((stationMm) => cut(41.01, { stationMm, dial: null, takenAt: '2026-03-02T09:05:00Z' })),
    ];
    return workOut(testSheet({ choices: planned, readings: [...testSheet().readings, ...readings] }), testShop);
  };
  const spots = at()
    .cuts.find((c) => c.segment.segment.id === 'body')!
    .along!.spots.map((s) => s.stationMm);
  const looking = (stationMm: number) => ({ ...nothing, spanId: 'body', stationMm, clockDeg: 0 });

  it('the place that was picked is read, like where the cuts are measured and at no setting of the dial', () => {
    const target = lineTarget(at(), 'cut', looking(spots[1]!), 'mm')!;
    expect(target).toMatchObject({ segmentId: 'body', dial: null, expectedMm: expect.closeTo(41, 1), spot: { stationMm: spots[1] } });
    expect(target.title).toContain('along the same cut');
    // Picked for another surface, it is no place of this one.
    expect(lineTarget(at(), 'cut', { ...looking(spots[1]!), spanId: null }, 'mm')!.spot.stationMm).toBe(0);
  });

  it('then come the places that are open, and the next cut after them', () => {
    const after = (repair: ReturnType<typeof at>) => afterReading(repair, lineTarget(repair, 'cut', looking(spots[0]!), 'mm')!);
    expect(after(at(spots[0]!))).toMatchObject({ spanId: 'body', stationMm: spots[1] });
    const all = after(at(...spots));
    expect(all).toMatchObject({ spanId: 'body', stationMm: null });
    expect(lineTarget(at(...spots), 'cut', { ...nothing, ...all }, 'mm')!.spot.stationMm).toBe(0);
  });
});

describe('typing on the line', () => {
  let server: FakeServer;
  let store: InstanceType<typeof SheetStore>;
  const line = async (station = 'measure') => show(ReadingLine, { station });
  const enter = async (fixture: Awaited<ReturnType<typeof line>>, text: string): Promise<void> => {
    await type(fixture, '#reading', text);
    fixture.nativeElement.querySelector('form').dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    await breathe();
    await fixture.whenStable();
  };
  const sent = (): ReadingInput[] => server.readings().map((r) => r.input);
  beforeEach(async () => {
    server = new FakeServer(testSheet({ readings: half }));
    store = await openSheet(server);
  });

  it('tells the other unit as it is typed', async () => {
    const fixture = await line();
    await type(fixture, '#reading', '40.22');
    expect(words(fixture)).toContain('1.583 in');
    await type(fixture, '#reading', '1 37/64');
    expect(words(fixture)).toContain('40.084 mm');
  });

  it('takes a reading as typed and moves on', async () => {
    const fixture = await line();
    await enter(fixture, '40.28');
    expect(sent()[0]).toMatchObject({
      text: '40.28',
      unit: 'mm',
      placeId: 'barrel',
      stationMm: 20,
      clockDeg: 0,
      instrumentId: 'tele',
      confirmed: false,
    });
    expect(words(fixture)).toContain('Barrel bore at 20 mm, 45°');
    expect(store.selection()).toMatchObject({ spanId: 'barrel', clockDeg: 45, quantity: 'size' });
  });

  it('is empty after a gauge that types and enters within one frame', async () => {
    const fixture = await line();
    const input = fixture.nativeElement.querySelector('#reading') as HTMLInputElement;
    for (const text of ['40.28', '40.25']) {
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      fixture.nativeElement.querySelector('form').dispatchEvent(new Event('submit'));
      expect(input.value).toBe('');
    }
    await breathe();
    expect(sent().map((r) => r.text)).toEqual(['40.28', '40.25']);
  });

  it('asks about a slip and takes what was meant, or what was typed', async () => {
    const fixture = await line();
    await enter(fixture, '4.022');
    expect(sent()).toEqual([]);
    expect(words(fixture)).toContain('Telescoping gauge and mic cannot show 4.022 mm');
    await press(fixture, 'Take 40.220');
    await breathe();
    expect(sent()[0]).toMatchObject({ text: '40.2200 mm', confirmed: true });
    await enter(fixture, '4.022');
    await press(fixture, 'It is right');
    await breathe();
    expect(sent()[1]).toMatchObject({ text: '4.022', confirmed: true });
  });

  it('a doubt is gone at another spot: nothing that was offered there can be taken here', async () => {
    const fixture = await line();
    await enter(fixture, '4.022');
    expect(words(fixture)).toContain('It is right');
    store.select({ spanId: 'body', stationMm: 60, clockDeg: 0, quantity: 'size' });
    await fixture.whenStable();
    expect(words(fixture)).not.toContain('It is right');
    expect(sent()).toEqual([]);
  });

  it('a doubted reading of a pencil line is never taken for another place: it waits until somebody goes on', async () => {
    const queue = TestBed.inject(ReadQueue);
    const spot = (clockDeg: number) => ({ stationMm: 20, clockDeg, quantity: 'size' as const });
    const fixture = await line();
    queue.add([
      { placeId: 'barrel', spot: spot(0), text: '4.022' },
      { placeId: 'barrel', spot: spot(45), text: '40.22' },
    ]);
    await fixture.whenStable();
    expect(words(fixture)).toContain('It is right');
    store.select({ spanId: 'body', stationMm: 60, clockDeg: 0, quantity: 'size' });
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('#reading').value).toBe('');
    expect(words(fixture)).toContain('2 readings of the line for barrel bore not taken yet: 4.022 is next.');
    expect(sent()).toEqual([]);
    await press(fixture, 'Go on with them');
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('#reading').value).toBe('4.022');
    await press(fixture, 'Take 40.22');
    await breathe();
    await fixture.whenStable();
    expect(sent().map((s) => [s.placeId, s.clockDeg, s.text])).toEqual([
      ['barrel', 0, '40.2200 mm'],
      ['barrel', 45, '40.22'],
    ]);
  });

  it('those that wait can be left out', async () => {
    const queue = TestBed.inject(ReadQueue);
    const fixture = await line();
    queue.add([{ placeId: 'barrel', spot: { stationMm: 20, clockDeg: 0, quantity: 'size' }, text: '4.022' }]);
    await fixture.whenStable();
    store.select({ spanId: 'body', stationMm: 60, clockDeg: 0, quantity: 'size' });
    await fixture.whenStable();
    await press(fixture, 'Leave them out');
    await fixture.whenStable();
    expect(words(fixture)).not.toContain('not taken yet');
    expect(sent()).toEqual([]);
  });

  it('says what is wrong and keeps what was typed', async () => {
    const fixture = await line();
    await enter(fixture, 'wobbly');
    expect(words(fixture)).toContain('is not a size');
    expect(fixture.nativeElement.querySelector('#reading').value).toBe('wobbly');
    expect(sent()).toEqual([]);
  });

  it('sends the temperature of the part, and refuses one that is none', async () => {
    const fixture = await line();
    await type(fixture, 'input[name=partTemp]', 'hot');
    await enter(fixture, '40.28');
    expect(words(fixture)).toContain('temperature of the part is a number');
    await type(fixture, 'input[name=partTemp]', '31,5');
    await enter(fixture, '40.28');
    expect(sent()[0]!.partTempC).toBe(31.5);
  });

  it('takes an offset from what the place was', async () => {
    server = new FakeServer(
      testSheet({ readings: half, choices: [testChoice(choiceKey.nominal('barrel'), { sizeMm: 40, name: '40 mm H7' })] }),
    );
    store = await openSheet(server);
    const fixture = await line();
    await enter(fixture, '+0.22 over nominal');
    expect(sent()[0]!.text).toBe('+0.22 over 40.0000 mm');
  });

  it('steps through the plan with the arrows', async () => {
    const fixture = await line();
    const key = (name: string): boolean =>
      fixture.nativeElement.querySelector('#reading').dispatchEvent(new KeyboardEvent('keydown', { key: name, cancelable: true }));
    key('ArrowDown');
    await fixture.whenStable();
    expect(store.selection()).toMatchObject({ stationMm: 20, clockDeg: 45, quantity: 'size' });
    key('ArrowUp');
    key('ArrowUp');
    await fixture.whenStable();
    expect(store.selection()).toMatchObject({ stationMm: 5, clockDeg: 135, quantity: 'size' });
  });

  it('wants to know where the dial stood at a cut', async () => {
    server = new FakeServer(testSheet({ choices: planned }));
    store = await openSheet(server);
    store.select({ spanId: 'body' });
    const fixture = await line('cut');
    await type(fixture, 'input[name=dial]', 'far');
    await enter(fixture, '44.6');
    expect(words(fixture)).toContain('where the cross-slide dial stood');
    await type(fixture, 'input[name=dial]', '0.1250');
    // Roughed before it was read: anything between the bar and its size is nothing strange.
    await enter(fixture, '44.6 mm');
    await breathe();
    expect(sent()[0]).toMatchObject({ purpose: 'cut', segmentId: 'body', dial: 0.125, text: '44.6 mm' });
  });
});
