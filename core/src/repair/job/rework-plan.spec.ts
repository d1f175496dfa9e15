import type { Machine } from '../../making/setups';
import { choiceKey, type PlanChoice } from './choices';
import type { ItemChoice, ItemStep } from './items';
import { newStep } from './items';
import { usualPlan } from './plan-finding';
import type { JobSheet } from './records';
import { doubtInputFor } from './doubt-input';
import { seenAt, workOut } from './repair';
import { testItem, testPlace, testReading, testShop, verdicts, withChoices } from './testing';

const limits = { lowerDev: 0, upperDev: 0.025, text: 'H7' };
const id = 'barrel-part';
const mill = {
  ...{ id: 'mill', name: 'Knee mill', kind: 'mill', powerKw: 2, note: '', lathe: null, capacityMm: null, tonnes: null, version: 1 },
  mill: {
    dial: { unit: 'mm', perTurn: 5, perLine: 0.02 },
    ...{ readout: null, gearsRpm: [65, 135, 275, 575], longMm: 600, crossMm: 300 },
    head: { unit: 'mm', perTurn: 1, perLine: 0.02, reads: 'diameter' },
  },
} as unknown as Machine;
const shop = { ...testShop, machines: [mill] };

/** The barrel bored to 40.35 H7; it was read 40.16 to 40.31. */
const bored = (plan: Partial<PlanChoice> = {}, own: Partial<ItemChoice> = {}, more: Partial<JobSheet> = {}): JobSheet => {
  const sheet = { ...verdicts('reuse', 'repair'), ...more };
  const cuts = [{ placeId: 'barrel', sizeMm: 40.35, limits }];
  return withChoices(
    sheet,
    [choiceKey.item(id), testItem('rework', 'Ramp barrel', { componentIds: [id], cuts, ...own })],
    [`${choiceKey.plan}:${id}`, { ...usualPlan(testShop.lathes[0]!), barId: 'none', ...plan }],
  );
};
const at = (sheet: JobSheet, of = shop) => workOut(sheet, of).items.find((i) => i.item.id === id)!;
const only = (sheet: JobSheet, of = shop) => at(sheet, of).rework!.passes[0]!;
const why = (sheet: JobSheet): string => {
  const { passes } = only(sheet);
  return passes.ok ? '' : passes.problems[0]!.message;
};
const STEP: ItemStep = { ...newStep('Build up with weld', 'rework'), done: false };

describe('a bore that is trued', () => {
  it('is bored in cuts from the smallest that was read to the middle of its limits, each no less than the one before', () => {
    const { passes, fromMm } = only(bored());
    expect(fromMm).toBeCloseTo(40.16, 9);
    const to = passes.ok ? passes.value.map((p) => p.toMm) : [];
    expect(to.at(-1)).toBeCloseTo(40.3625, 9);
    expect(to).toEqual([...to].sort((p, q) => p - q));
    const off = passes.ok ? passes.value.reduce((s, p) => s + p.offMm, 0) : 0;
    expect(off).toBeCloseTo(40.3625 - 40.16, 9);
  });

  it('turns at a gear of the mill that does not overrun the metal, or of the lathe where that is chosen', () => {
    const rpm = (sheet: JobSheet): number => {
      const { finishSpeed } = only(sheet);
      return finishSpeed.ok ? finishSpeed.value.gearRpm : 0;
    };
    expect([65, 135, 275, 575]).toContain(rpm(bored()));
    expect(testShop.lathes[0]!.gearsRpm).toContain(rpm(bored({ boring: 'carriage-bar' })));
    expect(rpm(bored({ boring: 'faceplate' }))).toBe(36);
    // Mild steel bears some 30 m/min with high-speed steel: 236 rpm on 40.36, and 135 is the gear below it.
    expect(rpm(bored({ tool: 'hss' }))).toBe(135);
    expect(rpm(bored())).toBe(575);
  });

  it('its bar gives way by F L³ / 3EI out of the head, and by F L³ / 48EI between centres', () => {
    const bend = (sheet: JobSheet) => at(sheet).rework!.pushed[0]!.bend;
    const inputs = (sheet: JobSheet): number[] => {
      const { origin } = bend(sheet);
      return origin.kind === 'worked' ? origin.from.map((f) => f.value) : [];
    };
    const I = (d: number): number => (Math.PI * d ** 4) / 64;
    const head = inputs(bored());
    // The bore is 40 long; the thickest bar sold for a hole of 40 is 32.
    expect(head.slice(1)).toEqual([32, 45]);
    expect(bend(bored()).value).toBeCloseTo((2 * head[0]! * 45 ** 3) / (3 * 210_000 * I(32)), 9);
    const between = inputs(bored({ boring: 'carriage-bar' }));
    expect(between.slice(1)).toEqual([expect.closeTo(0.7 * 40.16, 9), 180]);
    const mid = (2 * between[0]! * 180 ** 3) / (48 * 210_000 * I(0.7 * 40.16));
    expect(bend(bored({ boring: 'carriage-bar' })).value).toBeCloseTo(mid, 9);
  });

  it('is coached on the dial that sets it: the head’s, not that of a lathe’s cross slide', () => {
    const coach = (plan: Partial<PlanChoice>, of = shop) => {
      const first = testReading({
        ...{ purpose: 'cut', segmentId: 'barrel', itemId: id },
        valueMm: 40.2,
        dial: 0,
        takenAt: '2026-11-23T10:00:00Z',
      });
      const sheet = bored(plan);
      return at({ ...sheet, readings: [...sheet.readings, first] }, of).pieces[0]!.cuts[0]!;
    };
    const head = coach({ boring: 'mill-head' });
    expect(head.dialled.cross).toBe(mill.mill!.head);
    expect(head.advice.nextDial).toBeGreaterThan(0.02);
    // In millimetres on the diameter it is no more than what is left; a radius dial in inch would say some thousandths.
    expect(head.advice.nextDial).toBeLessThanOrEqual(40.3625 - 40.2);
    const slide = coach({ boring: 'faceplate' });
    expect(slide.dialled.cross).toBe(testShop.lathes[0]!.cross);
    // The cross slide comes out, its dial falls: half of it, in inch.
    expect(-slide.advice.nextDial! * 2 * 25.4).toBeCloseTo(head.advice.nextDial!, 1);
    expect(at(bored({ boring: 'follow' })).pieces[0]!.cuts).toEqual([]);
  });

  it('what the dial says after a cut is larger by what it was turned, on head and slide', () => {
    const expected = (plan: Partial<PlanChoice>, dial: number): number | null => {
      const own = { purpose: 'cut', segmentId: 'barrel', itemId: id } as const;
      const first = testReading({ ...own, valueMm: 40.2, dial: 0, takenAt: '2026-11-23T10:00:00Z' });
      const sheet = bored(plan);
      const repair = seenAt(workOut({ ...sheet, readings: [...sheet.readings, first] }, shop), id);
      const about = { ...own, placeId: null, spot: { stationMm: 20, clockDeg: 0, quantity: 'size' as const }, piece: 1, afterActId: null };
      const kept = {
        ...about,
        valueMm: 40.3,
        unit: 'mm' as const,
        decimals: 3,
        instrumentId: 'tele',
        partTempC: null,
        expectedMm: null,
        supersedesId: null,
      };
      return doubtInputFor(repair, shop, 'mm', { ...kept, dial }).cut!.dialMm;
    };
    expect(expected({ boring: 'mill-head' }, 0.1)).toBeCloseTo(40.3, 9);
    expect(expected({ boring: 'mill-head' }, -0.1)).toBeNull();
    expect(expected({ boring: 'faceplate' }, -0.05 / 25.4)).toBeCloseTo(40.3, 9);
  });

  it('a reamer or a hone follows it: no pass, and what it takes is said', () => {
    expect(why(bored({ boring: 'follow' }))).toContain('takes 0.203 mm off the diameter');
    expect(at(bored({ boring: 'follow' })).rework!.pushed).toEqual([]);
    expect(at(bored({ boring: 'follow' })).rework!.coolant[0]).toContain('Reaming');
    expect(at(bored()).rework!.coolant[0]).toContain('Turning and boring');
  });

  it('keeps its cuts once it is proved: they were from what was read before', () => {
    const proof = testReading({ purpose: 'proof', segmentId: 'barrel', itemId: id, valueMm: 40.36, takenAt: '2026-11-23T12:00:00Z' });
    const sheet = bored();
    expect(only({ ...sheet, readings: [...sheet.readings, proof] }).fromMm).toBeCloseTo(40.16, 9);
  });

  it('takes the minutes of its holding and of its cuts', () => {
    const { minutes } = at(bored()).rework!;
    expect(minutes.turned).toBeNull();
    expect(minutes.bored!.value).toBeGreaterThan(20);
    expect(minutes.bored!.value).toBeLessThan(30);
  });

  it('stands in the run order with those minutes, on the machine that it is held on', () => {
    const acts = (sheet: JobSheet) => workOut(sheet, shop).toDo.acts.filter((a) => a.key.startsWith(`${id}:`));
    const [onMill] = acts(bored());
    expect(onMill).toMatchObject({ act: 'bore-mill', at: 'mill', setupMin: 20 });
    expect(onMill!.hands.likely).toBeCloseTo(at(bored()).rework!.minutes.bored!.value - 20, 6);
    expect(acts(bored({ boring: 'faceplate' }))[0]).toMatchObject({ act: 'bore', at: 'lathe', machineId: 'gap-bed' });
    // What is welded first has no cuts yet: its minutes are those of any bore.
    expect(acts(bored({}, { steps: [STEP] }))[0]!.hands.likely).toBeGreaterThan(60);
  });

  it('several on the mill in one setting: how far the bar reaches through all of them is to be minded', () => {
    expect(at(bored()).rework!.minds).toEqual([]);
    const two = [
      { placeId: 'barrel', sizeMm: 40.35, limits },
      { placeId: 'far', sizeMm: 40.35, limits },
    ];
    const sheet = bored({}, { cuts: two });
    const far = testPlace('far', { name: 'Far bore', componentId: id, side: 'inside', startMm: 60 });
    expect(at({ ...sheet, places: [...sheet.places, far] }).rework!.minds[0]).toContain('reaches through all of them');
  });
});

describe('what stands there', () => {
  it('nobody read, or read before metal was put on: no cuts, and what to do', () => {
    const none = bored({}, {}, { readings: [] });
    expect(why(none)).toContain('Nobody has read it yet');
    expect(why(bored({}, { steps: [STEP] }))).toContain('Once “Build up with weld” is done');
    const done = { ...STEP, done: true, doneAt: '2026-11-22T10:00:00Z' };
    expect(why(bored({}, { steps: [done] }))).toContain('before its sizes moved');
    const skim = testReading({
      ...{ purpose: 'cut', segmentId: 'barrel', itemId: id },
      valueMm: 38.4,
      dial: 0,
      takenAt: '2026-11-23T10:00:00Z',
    });
    const sheet = bored({}, { steps: [done] });
    const now = only({ ...sheet, readings: [...sheet.readings, skim] });
    expect(now.fromMm).toBeCloseTo(38.4, 6);
    expect(now.passes.ok).toBe(true);
  });

  it('wider than it is to be: metal has to be put on first', () => {
    const cuts = [{ placeId: 'barrel', sizeMm: 40, limits }];
    expect(why(bored({}, { cuts }))).toContain('wider than it is to be');
  });

  it('of a metal that nobody named has cuts and no speed', () => {
    const sheet = bored();
    const bare = { ...sheet, components: sheet.components.map((c) => ({ ...c, materialId: '' })) };
    expect(only(bare).passes.ok).toBe(true);
    expect(only(bare).roughRpm).toBeNull();
    expect(at(bare).rework!).toMatchObject({ pushed: [], coolant: [] });
  });
});

describe('a seat that is turned again', () => {
  const shaft = (plan: Partial<PlanChoice> = {}, sizeMm = 38): JobSheet => {
    const sheet = verdicts('repair', 'reuse');
    const cuts = [{ placeId: 'body', sizeMm, limits: { lowerDev: -0.01, upperDev: 0, text: '-0.01 0' } }];
    return withChoices(
      { ...sheet, places: sheet.places.map((p) => (p.id === 'land' ? { ...p, startMm: 200, stationsMm: [220] } : p)) },
      [choiceKey.item('pin'), testItem('rework', 'Hinge pin', { componentIds: ['pin'], cuts })],
      [`${choiceKey.plan}:pin`, { ...usualPlan(testShop.lathes[0]!), barId: 'none', ...plan }],
    );
  };
  const of = (sheet: JobSheet) => workOut(sheet, shop).items.find((i) => i.item.id === 'pin')!.rework!;

  it('is held on its centres, and cut from the largest that was read', () => {
    const { turned, passes, bores } = of(shaft());
    expect(turned!.chosen!.id).toBe('centres');
    expect(bores).toBeNull();
    expect(passes[0]!.fromMm).toBeCloseTo(39.69, 6);
    expect(passes[0]!.passFigures.at(-1)!.value).toBeCloseTo(37.995, 9);
  });

  it('is pushed off as a beam on two ends, found by integrating its curvature along it', () => {
    const { pushed, turned } = of(shaft());
    const { bend } = pushed[0]!;
    const push = bend.origin.kind === 'worked' ? bend.origin.from[0]!.value : 0;
    // The seat lies 0 to 40 of 240: it bends most at its inner edge. Unit load there, work of the bending moment along the beam.
    const [L, a, n] = [240, 40, 24_000];
    const EI = 210_000 * ((Math.PI * 37.995 ** 4) / 64);
    let flex = 0;
    for (let k = 0; k < n; k++) {
      const z = ((k + 0.5) * L) / n;
      const moment = z < a ? ((L - a) / L) * z : (a / L) * (L - z);
      flex += (moment * moment * (L / n)) / EI;
    }
    expect(turned!.against!.freeMm).toBe(240);
    expect(bend.value).toBeCloseTo(2 * push * flex, 7);
  });

  it('in the jaws it gives way at its free end most, told from there', () => {
    const { turned } = of(shaft({ turnedAgain: 'jaws' }));
    expect(turned!.against!.freeMm).toBe(40);
    expect([0, 40].map((mm) => turned!.against!.fromHeldMm(mm))).toEqual([40, 0]);
  });

  it('thinner than it is to be: metal has to be put on first', () => {
    const { passes } = of(shaft({}, 40));
    expect(passes[0]!.passes.ok ? '' : passes[0]!.passes.problems[0]!.message).toContain('thinner than it is to be');
  });
});
