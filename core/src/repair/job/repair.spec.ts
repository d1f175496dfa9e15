import { explain } from '../../terms/working';
import { CAUTIONS } from './cautions.data';
import { choiceKey } from './choices';
import { inLineMm } from './fit-finding';
import { liveReadings } from './live-readings';
import { HAZARDS, type JobSheet } from './records';
import { rungFigure } from './plan-figures';
import { freeze } from './release';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const fitChoice = testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null });
const drawn = (more: Partial<JobSheet> = {}): JobSheet =>
  testSheet({
    choices: [fitChoice, testChoice(choiceKey.part, drawnPin()), testChoice(choiceKey.route, { cause: 'dry', route: 'new pin' })],
    ...more,
  });
const state = (sheet: JobSheet, id: string) => workOut(sheet, testShop).stations.find((s) => s.id === id)!;

describe('readings', () => {
  it('are superseded or withdrawn, never lost', () => {
    const first = testReading({ id: 'a', valueMm: 4.016 });
    const second = testReading({ id: 'b', valueMm: 40.16, supersedesId: 'a' });
    const third = testReading({ id: 'c', supersedesId: 'b', withdrawn: true });
    expect(liveReadings([first, second]).map((r) => r.id)).toEqual(['b']);
    expect(liveReadings([first, second, third])).toEqual([]);
  });

  it('are corrected to 20 °C by the temperature of the part, and say so', () => {
    const sheet = testSheet();
    const warm = { ...sheet, readings: sheet.readings.map((r) => (r.placeId === 'land' ? { ...r, partTempC: 50 } : r)) };
    const land = workOut(warm, testShop).places.find((f) => f.place.id === 'land')!;
    expect(land.shape!.meanMm).toBeCloseTo(39.975 * (1 - 11.5e-6 * 30), 6);
    expect(explain(land.mean!, 'mm')[1]!.text).toContain('corrected to 20 °C');
  });
});

describe('the check case, measured', () => {
  const repair = workOut(testSheet(), testShop);

  it('knows what it was', () => {
    expect(repair.places.find((f) => f.place.id === 'body')!.nominal.ranked[0]!.name).toBe('40 mm f7');
  });

  it('proposes the house default before anybody chose: pin 40.049, play 0.261', () => {
    const [fit] = repair.fits;
    expect(fit!.figures!.upper.value).toBeCloseTo(40.049, 3);
    expect(fit!.figures!.playLargest.value).toBeCloseTo(0.261, 3);
    expect(fit!.target!.trueTheHole).toBe(true);
    expect(fit!.choice).toBeNull();
  });

  it('tells the working down to the readings as typed', () => {
    const lines = explain(repair.fits[0]!.figures!.upper, 'mm').map((l) => l.text);
    expect(lines[0]).toBe(
      '40.049 mm = smallest place in barrel bore 40.160 - running clearance 0.111 (house rule running in grease or dirt: 0.0020 in + 0.0015 per in), at 20 °C',
    );
    expect(lines.join('\n')).toContain('read as "40.16" with Telescoping gauge and mic by Tomas Quill, 2026-11-20');
  });

  it('bores the hole to the size that was chosen, every school for it, but never to one that does not clean up', () => {
    const bored = (truedMm: number) =>
      workOut(testSheet({ choices: [testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'true', truedMm })] }), testShop)
        .fits[0]!;
    const fit = bored(40.6);
    expect(fit).toMatchObject({ truedMm: 40.6, problem: null });
    expect(fit.cleanUpMm).toBeCloseTo(40.35, 9);
    // Grease: 0.0020 in and 0.0015 per inch of 40.6 mm: 0.0508 + 0.0609.
    expect(fit.target!.upperMm).toBeCloseTo(40.6 - 0.0508 - 0.0609, 6);
    expect(fit.options.every((o) => o.trued.ok && o.trued.value.holeSmallestMm === 40.6)).toBe(true);
    const small = bored(40.2);
    expect(small.target).toBeNull();
    expect(small.problem).toBe('Bored to 40.200 mm the widest place, 40.310 mm, would not clean up. 40.350 mm or more does.');
  });

  it('bores several holes in line at the size at which all of them clean up', () => {
    const holes = [{ cleanUpMm: 40.1 }, { cleanUpMm: 40.35 }, { cleanUpMm: null }, { cleanUpMm: 18 }];
    expect(inLineMm(holes[0]!, holes)).toBe(40.35);
    // A hole for another pin size is no part of the line.
    expect(inLineMm(holes[3]!, holes)).toBeNull();
    expect(inLineMm(repair.fits[0]!, repair.fits)).toBeNull();
  });

  it('shows every school with the hole kept and trued', () => {
    const ids = repair.fits[0]!.options.map((o) => o.id);
    expect(ids).toEqual(expect.arrayContaining(['grease', 'close', 'iso:f7', 'iso:p6']));
    expect(repair.fits[0]!.options.every((o) => o.kept.ok && o.trued.ok && Math.abs(o.trued.value.holeLargestMm - 40.35) < 1e-9)).toBe(
      true,
    );
  });

  it('stands at Decide', () => {
    expect(repair.stations.map((s) => s.state)).toEqual([
      'done',
      'done',
      'done',
      'not-yet',
      'not-yet',
      'not-yet',
      'not-yet',
      'not-yet',
      'not-yet',
    ]);
    expect(repair.next).toMatchObject({ id: 'decide', waitsFor: 'the fit of barrel bore' });
  });
});

describe('draw and plan', () => {
  it('puts the fitted size and its limits into the drawn part', () => {
    const { part } = workOut(drawn(), testShop);
    const body = part!.segments[1]!;
    expect(body.limits.upperMm).toBeCloseTo(40.0488, 3);
    expect(body.limits.lowerMm).toBeCloseTo(40.0328, 3);
    expect(body.diameter.value).toBeCloseTo(40.0408, 3);
    expect(part!.part.outside[0]!.diameterMm).toBeCloseTo(56, 9);
  });

  it('lets the tightest of several mates govern', () => {
    const sheet = drawn();
    const lug = { ...sheet.places[2]!, id: 'lug', name: 'Lug bore', stationsMm: [5], clocksDeg: [0] };
    const pin = drawnPin();
    const two = {
      ...sheet,
      places: [...sheet.places, lug],
      readings: [...sheet.readings, testReading({ placeId: 'lug', stationMm: 5, valueMm: 40.02 })],
      choices: [
        fitChoice,
        testChoice(choiceKey.part, {
          ...pin,
          outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, fitsPlaceIds: ['barrel', 'lug'] } : s)),
        }),
      ],
    };
    const body = workOut(two, testShop).part!.segments[1]!;
    expect(body.fits.map((f) => f.hole.place.id)).toEqual(['lug', 'barrel']);
    expect(body.limits.upperMm).toBeCloseTo(40.02 - 0.0508 - 0.0015 * 40.02, 6);
  });

  it('proposes lathe and bar, and is not planned until somebody says so', () => {
    const { plan, stations } = workOut(drawn(), testShop);
    expect(plan!.chosen).toBe(false);
    expect(plan!.bar!.id).toBe('bar60');
    expect(plan!.passes[1]!.passes).toMatchObject({ ok: true });
    expect(stations.find((s) => s.id === 'plan')!.state).toBe('not-yet');
  });

  it('says when the lathe is too small', () => {
    const small = { ...testShop, lathes: [{ ...testShop.lathes[0]!, swingMm: 50, centresMm: 100 }] };
    expect(workOut(drawn(), small).plan!.problems).toHaveLength(2);
  });
});

describe('plan and cut say where their numbers come from', () => {
  it('speeds, passes and ladder', () => {
    const plan = workOut(drawn(), testShop).plan!;
    const body = plan.passes[1]!;
    // 1000 x 100/(pi x 60) = 530.5, the next slower gear is 460.
    expect(body.roughRpm!.value).toBe(460);
    expect(explain(body.roughRpm!, 'mm')[0]!.text).toBe(
      '460 rpm = roughing speed: 1000 V/(pi D) is 531, stepped down to a gear of Gap-bed lathe',
    );
    expect(body.passFigures.at(-1)!.value).toBeCloseTo(body.segment.diameter.value, 9);
    const partOff = rungFigure(plan.setUps[0]!.ladder.at(-1)!, 1);
    expect(explain(partOff, 'mm')[0]!.text).toContain('123.000 mm = part off 120.000 + width of the tool 3.000');
  });

  it('what is left at the lathe, and what it was', () => {
    const sheet = drawn();
    const repair = workOut(
      {
        ...sheet,
        readings: [...sheet.readings, testReading({ purpose: 'cut', segmentId: 'body', dial: 0, valueMm: 40.625, instrumentId: 'mic' })],
      },
      testShop,
    );
    const body = repair.cuts.find((c) => c.segment.segment.id === 'body')!;
    expect(body.left!.value).toBeCloseTo(body.advice.leftMm, 9);
    expect(
      explain(body.left!, 'mm')
        .map((l) => l.text)
        .join(),
    ).toContain('read as "40.625"');
    expect(explain(repair.places[0]!.was!, 'mm')[0]!.text).toContain('40.000 mm = body as drawn by its maker: 40 mm f7');
  });
});

describe('release', () => {
  const before = drawn();
  const release = {
    id: 'rel',
    jobId: 'job',
    itemId: 'job',
    figures: freeze(workOut(before, testShop).releasable, 'mm'),
    personId: 'tomas',
    at: '2026-11-22T09:00:00Z',
  };

  it('holds while nothing changes', () => {
    expect(workOut({ ...before, releases: [release] }, testShop).moved).toEqual([]);
  });

  it('marks every number that a later reading moved, with old and new', () => {
    const moved = {
      ...before,
      releases: [release],
      readings: [...before.readings, testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 90, valueMm: 40.1 })],
    };
    const repair = workOut(moved, testShop);
    const keys = repair.moved.map((m) => m.key);
    expect(keys).toEqual(expect.arrayContaining(['segment.body.diameter', 'barrel.smallest', 'barrel.pin-upper']));
    const pin = repair.moved.find((m) => m.key === 'segment.body.diameter')!;
    expect(pin.oldMm).toBeCloseTo(40.0408, 3);
    expect(pin.newMm).toBeLessThan(pin.oldMm!);
    expect(repair.stations.find((s) => s.id === 'cut')).toMatchObject({ state: 'out' });
    const accepted = {
      ...moved,
      choices: [...moved.choices, ...repair.moved.map((m) => testChoice(choiceKey.accept(m.key), { valueMm: m.newMm }))],
    };
    expect(workOut(accepted, testShop).moved).toEqual([]);
  });
});

describe('cut and prove', () => {
  const cut = (dial: number, valueMm: number) => testReading({ purpose: 'cut', segmentId: 'body', dial, valueMm, instrumentId: 'mic' });
  const proof = (clockDeg: number, valueMm: number) =>
    testReading({ purpose: 'proof', segmentId: 'body', stationMm: 60, clockDeg, valueMm, instrumentId: 'mic' });

  it('coaches from what was dialled and measured', () => {
    const sheet = drawn();
    const { cuts } = workOut({ ...sheet, readings: [...sheet.readings, cut(0, 46), cut(0.0264, 44.66)] }, testShop);
    const body = cuts.find((c) => c.segment.segment.id === 'body')!;
    expect(body.advice.state).toBe('cut');
    expect(body.advice.leftMm).toBeCloseTo(44.66 - 40.0408, 3);
  });

  it('judges against the limits with the uncertainty of the mic, and predicts the play', () => {
    const sheet = drawn();
    const { proofs } = workOut({ ...sheet, readings: [...sheet.readings, proof(0, 40.041), proof(90, 40.041)] }, testShop);
    const body = proofs.find((p) => p.dimension.dimension.key === 'body')!;
    expect(body.verdict).toBe('fits');
    expect(body.play[0]!.tight.value).toBeCloseTo(40.16 - 40.041, 6);
    expect(body.play[0]!.loose.value).toBeCloseTo(40.31 - 40.041, 6);
    const out = workOut({ ...sheet, readings: [...sheet.readings, proof(0, 40.041), proof(90, 40.07)] }, testShop);
    expect(out.proofs[1]!.verdict).toBe('out');
  });

  it("waits for a licensed person to pass a vessel's ramp", () => {
    const sheet = drawn();
    const signed = (segmentId: string, measuredMm: number) => ({
      ...{ id: `p-${segmentId}`, jobId: 'job', itemId: 'job', piece: 1, segmentId },
      ...{ passed: true, measuredMm, gaugedWith: '', remark: '', personId: 'tomas', at: '' },
    });
    const ready: JobSheet = {
      ...sheet,
      readings: [
        ...sheet.readings,
        proof(0, 40.041),
        proof(90, 40.041),
        testReading({ purpose: 'proof', segmentId: 'head', valueMm: 56, instrumentId: 'mic' }),
      ],
      proofs: [signed('head', 56), signed('body', 40.041)],
    };
    expect(state(ready, 'prove')).toMatchObject({ state: 'under-way', waitsFor: expect.stringContaining('licensed person') });
    const passed = {
      ...ready,
      choices: [...ready.choices, testChoice(choiceKey.caution('vessel'), { signedBy: 'a licensed surveyor', licence: '7' })],
    };
    expect(state(passed, 'prove').state).toBe('done');
  });
});

it('has no next move once it is handed back, whatever was left open', () => {
  const handed = testSheet({ choices: [testChoice(choiceKey.returned, { lesson: 'Grease it.', stillToDo: '' })] });
  expect(workOut(handed, testShop).next).toBeNull();
});

it('tells what each station waits for when nothing is there', () => {
  const empty = testSheet({ components: [], places: [], readings: [] });
  expect(
    workOut(empty, testShop)
      .stations.filter((s) => s.state === 'done')
      .map((s) => s.id),
  ).toEqual(['receive']);
  expect(state(empty, 'strip').waitsFor).toBe('the components that came apart');
  expect(state(testSheet({ readings: [] }), 'measure').waitsFor).toBe('15 more readings, next body at 60 mm, 0°');
  expect(workOut(testSheet({ readings: [] }), testShop).fits[0]!.problem).toBe('Measure the hole first.');
});

it('has a caution for every hazard', () => {
  for (const hazard of HAZARDS) expect(CAUTIONS[hazard].who.length).toBeGreaterThan(10);
});
