import { sideBySide } from './side-by-side';
import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testSheet } from '@iron-patch/core/testing';
import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, show, words } from '../../testing/open-sheet';
import type { SheetStore } from '../sheet-data';
import { Axis, Lanes, PartPicture, PlacePicker, PolarSection, ProfileChart } from './index';

let store: InstanceType<typeof SheetStore>;
const places = testSheet().places.map((f) =>
  f.id === 'body' ? { ...f, startMm: 8, lengthMm: 112 } : f.id === 'land' ? { ...f, startMm: 10, lengthMm: 12 } : f,
);
const open = async (more: Parameters<typeof testSheet>[0] = {}): Promise<void> => {
  store = await openSheet(new FakeServer(testSheet({ places: places, ...more })));
};
const numbersIn = (d: string): number[] => [...d.matchAll(/-?\d+(\.\d+)?/g)].map((m) => Number(m[0]));

describe('the picture', () => {
  it('says in words what it shows', async () => {
    await open();
    const svg = (await show(PartPicture)).nativeElement.querySelector('svg') as SVGElement;
    expect(svg.getAttribute('aria-label')).toBe('Worn part as found, half section: Body 39.680, Land 39.975');
  });

  it('draws the new part with its sizes once it is drawn', async () => {
    await open({ choices: [testChoice(choiceKey.part, drawnPin())] });
    expect(words(await show(PartPicture))).toContain('As found');
    store.lookAt('new');
    const text = words(await show(PartPicture));
    expect(text).toContain('New part');
    expect(text).toContain('56.000');
    expect(text).toContain('40.041');
  });

  it('marks wear below the surface, deeper where more is gone', async () => {
    await open();
    const wear = (await show(PartPicture)).nativeElement.querySelector('.wear').getAttribute('d') as string;
    const [, landY, , bodyY] = numbersIn(wear) as [number, number, number, number];
    expect(bodyY).toBeGreaterThan(landY);
  });

  it('has words when there is nothing to draw', async () => {
    await open({ components: [], places: [], readings: [] });
    expect(words(await show(PartPicture))).toContain('Nothing to draw yet');
  });

  it('names the axis in the unit of the reader', async () => {
    await open();
    expect(words(await show(PartPicture))).toContain('100');
    const inch = { ...testSheet({ places: places }) };
    store = await openSheet(new FakeServer({ ...inch, job: { ...inch.job, unit: 'in' } }));
    expect(words(await show(PartPicture))).toMatch(/1 2 3 4|0 0\.5 1/);
  });
});

describe('a place that a form asks for', () => {
  it('is where the picture is touched, to half a millimetre', async () => {
    await open();
    const [picker, axis] = [TestBed.inject(PlacePicker), TestBed.inject(Axis)];
    const fixture = await show(PartPicture);
    const over = (): SVGElement | null => (fixture.nativeElement as HTMLElement).querySelector('.over');
    expect(over()).toBeNull();
    const answer = jest.fn();
    picker.ask(answer);
    await fixture.whenStable();
    expect(words(fixture)).toContain('Touch the place');
    const px = axis.scale()(40.2);
    // The test's browser has no layout: the drawing begins at 0 and is as wide as the axis says.
    jest.spyOn(SVGElement.prototype, 'getBoundingClientRect').mockReturnValue({ left: 0, width: axis.widthPx() } as unknown as DOMRect);
    over()!.dispatchEvent(new MouseEvent('pointermove', { clientX: px }));
    await fixture.whenStable();
    expect(words(fixture)).toContain('40 mm');
    over()!.dispatchEvent(new MouseEvent('click', { clientX: px }));
    expect(answer).toHaveBeenCalledWith(40);
    await fixture.whenStable();
    expect(over()).toBeNull();
    jest.restoreAllMocks();
  });

  it('is asked for no more after Escape', async () => {
    await open();
    const picker = TestBed.inject(PlacePicker);
    const fixture = await show(PartPicture);
    const answer = jest.fn();
    picker.ask(answer);
    await fixture.whenStable();
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    expect(picker.asking()).toBe(false);
    picker.answer(12);
    expect(answer).not.toHaveBeenCalled();
  });
});

describe('picture and lanes', () => {
  it('share one axis: the barrel stands straight below itself', async () => {
    await open();
    const mate = (await show(PartPicture)).nativeElement.querySelector('.mate path').getAttribute('d') as string;
    const band = (await show(Lanes, { names: ['mate'] })).nativeElement.querySelector('.band') as SVGRectElement;
    const left = numbersIn(mate)[0]!;
    expect(Number(band.getAttribute('x'))).toBeCloseTo(left, 6);
    expect(left).toBeCloseTo(TestBed.inject(Axis).scale()(36), 6);
  });

  it('select together', async () => {
    await open();
    const lanes = await show(Lanes, { names: ['mate'] });
    (lanes.nativeElement.querySelector('.band') as SVGElement).dispatchEvent(new Event('click'));
    expect(store.selection().spanId).toBe('barrel');
    store.select({ spanId: 'barrel', stationMm: 20, clockDeg: 0 });
    expect(TestBed.inject(Axis).cursorPx()).toBeCloseTo(TestBed.inject(Axis).scale()(56), 6);
  });
});

describe('the lanes', () => {
  it('tell readings, wear against what it was, and the mate', async () => {
    await open();
    const text = words(await show(Lanes, { names: ['readings', 'wear', 'mate'] }));
    expect(text).toContain('39.680');
    expect(text).toContain('deepened, from 39.975');
    expect(text).toContain('-0.305');
    expect(text).toContain('40.160 to 40.310');
  });

  it('mark a mate whose oval its fit does not allow', async () => {
    await open();
    expect((await show(Lanes, { names: ['mate'] })).nativeElement.querySelector('.band.doubt')).not.toBeNull();
  });

  it('tell the new size by its limits', async () => {
    await open({ choices: [testChoice(choiceKey.part, drawnPin())] });
    expect(words(await show(Lanes, { names: ['target'] }))).toContain('40.033 to 40.049');
  });
});

describe('numbers behind a picture', () => {
  const cells = (host: HTMLElement): string[][] =>
    [...host.querySelectorAll('tbody tr')].map((r) => [...r.children].map((c) => c.textContent.trim()));

  it('the lanes tell a screen reader every stretch with what stands there', async () => {
    await open({ choices: [testChoice(choiceKey.part, drawnPin())] });
    const rows = cells((await show(Lanes, { names: ['readings', 'wear', 'mate', 'target'] })).nativeElement as HTMLElement);
    const body = store.repair()!.part!.segments.find((s) => s.fits.length)!;
    expect(rows.filter((r) => r[0] === 'Readings')).toHaveLength(store.picture()!.stations.filter((s) => s.side === 'outside').length);
    expect(rows).toContainEqual(['Mate', '36', '76', '40.160 to 40.310']);
    expect(rows).toContainEqual([
      'New size',
      ...[body.segment.fromMm, body.segment.toMm].map(String),
      `${body.limits.lowerMm.toFixed(3)} to ${body.limits.upperMm.toFixed(3)}`,
    ]);
  });

  it('a profile has its sections, smallest, mean and largest, as they were read', async () => {
    await open();
    const finding = store.repair()!.places.find((f) => f.place.id === 'barrel')!;
    const rows = cells((await show(ProfileChart, { finding })).nativeElement as HTMLElement);
    expect(rows.map((r) => Number(r[0]))).toEqual(finding.shape!.sections.map((s) => s.stationMm));
    // Read at four directions each: the smallest of a row is never above its mean, nor that above the largest.
    for (const [, smallest, mean, largest] of rows) expect([smallest, mean, largest]).toEqual([smallest, mean, largest].sort());
    expect(rows.map((r) => Number(r[1]))).toContain(40.16);
  });
});

describe('a section', () => {
  const oval = {
    stationMm: 5,
    readings: 4,
    meanMm: 40.24,
    smallestMm: 40.17,
    largestMm: 40.31,
    ovalityKind: 'fitted',
    ovalityMm: 0.14,
    longAxisDeg: 0,
    repeatMm: null,
    unexplainedMm: 0,
    waves: [{ order: 2, a: 0.07, b: 0, amplitudeMm: 0.07, peakDeg: 0, plusMinusMm: 0.01 }],
  };

  it('exaggerates by a plain number and says which', async () => {
    await open();
    expect(words(await show(PolarSection, { section: oval, unit: 'mm' }))).toContain('shape drawn 50 times larger');
    expect(words(await show(PolarSection, { section: { ...oval, ovalityMm: 0.003, a: 0.0015 }, unit: 'mm' }))).toContain(
      'shape drawn 2000 times larger',
    );
  });

  it('is longest along its long axis: 0° is on top', async () => {
    await open();
    const d = (await show(PolarSection, { section: oval, unit: 'mm' })).nativeElement.querySelector('.shape').getAttribute('d') as string;
    const points = d.match(/-?\d+\.\d+ -?\d+\.\d+/g)!.map((p) => p.split(' ').map(Number) as [number, number]);
    const width = Math.max(...points.map((p) => p[0])) - Math.min(...points.map((p) => p[0]));
    const height = Math.max(...points.map((p) => p[1])) - Math.min(...points.map((p) => p[1]));
    expect(height).toBeGreaterThan(1.1 * width);
  });

  it('runs clockwise: 45° leans to the right of the top', async () => {
    await open();
    const axis = (await show(PolarSection, { section: { ...oval, longAxisDeg: 45 }, unit: 'mm' })).nativeElement.querySelector('.axis');
    const at = (name: string): number => Number(axis.getAttribute(name));
    expect(at('x1') - at('x2')).toBeCloseTo(at('y2') - at('y1'), 6);
    expect(at('x1')).toBeGreaterThan(at('x2'));
  });

  it('does not pretend to know an oval it cannot see', async () => {
    await open();
    const unknown = { ...oval, ovalityKind: 'unknown', ovalityMm: 0, longAxisDeg: null, waves: [] };
    expect(words(await show(PolarSection, { section: unknown, unit: 'mm' }))).toContain('oval not known');
    const atLeast = { ...unknown, ovalityKind: 'at-least', ovalityMm: 0.1 };
    expect(words(await show(PolarSection, { section: atLeast, unit: 'mm' }))).toContain('≥ 0.100');
  });
});

describe('names side by side', () => {
  const name = (middlePx: number, widthPx = 60) => ({ middlePx, widthPx });
  it('leaves alone what does not overlap', () => expect(sideBySide([name(300), name(100)], 10, 800)).toEqual([300, 100]));
  it('moves apart what does, in its order, and back from the edge', () => {
    expect(sideBySide([name(300), name(310)], 10, 800)).toEqual([300, 370]);
    expect(sideBySide([name(770), name(760), name(300)], 10, 800)).toEqual([770, 700, 300]);
  });
});
