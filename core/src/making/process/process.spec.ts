import { drillBeforeBoringMm, drillLadderMm, firstDrill, peckDepthsMm, pointMm } from './drilling';
import { planBorePasses, planPasses } from './passes';
import { spindleSpeed } from './speed';

describe('passes', () => {
  it('rough down in equal cuts, then two equal finishing cuts to the size', () => {
    const plan = planPasses(46, 40.041);
    if (!plan.ok) throw new Error('no plan');
    expect(plan.value.map((p) => p.kind)).toEqual(['rough', 'rough', 'finish', 'finish']);
    expect(plan.value.at(-1)!.toMm).toBeCloseTo(40.041, 9);
    expect(plan.value[2]!.offMm).toBeCloseTo(0.3, 9);
    expect(plan.value[0]!.offMm).toBeCloseTo((46 - 40.041 - 0.6) / 2, 9);
    expect(plan.value.reduce((s, p) => s + p.offMm, 0)).toBeCloseTo(46 - 40.041, 9);
  });

  it('take three equal finishes where the shop does', () => {
    const plan = planPasses(41, 40.4, { roughMostMm: 4, finishMm: 0.6, finishes: 3 });
    expect(plan).toMatchObject({ value: [0.2, 0.2, 0.2].map((off) => ({ kind: 'finish', offMm: expect.closeTo(off, 9) })) });
  });

  it('need no pass when it is there, and refuse a bar that is too small', () => {
    expect(planPasses(40, 40)).toEqual({ ok: true, value: [] });
    expect(planPasses(39, 40)).toMatchObject({ problems: [{ code: 'too-small' }] });
    expect(planPasses(39, 0)).toMatchObject({ problems: [{ code: 'no-target' }] });
  });
});

describe('speeds', () => {
  it('are 1000 V/(pi D), stepped down to a gear', () => {
    const speed = spindleSpeed(25, 46, [500, 70, 115, 190, 300]);
    expect(speed).toEqual({ ok: true, value: { idealRpm: expect.closeTo(172.99, 1), gearRpm: 115, speedMMin: expect.closeTo(16.62, 1) } });
  });

  it('take the slowest gear when even that is too fast, and say when there is none', () => {
    expect(spindleSpeed(5, 300, [70, 115])).toMatchObject({ value: { gearRpm: 70 } });
    expect(spindleSpeed(25, 46, [])).toMatchObject({ problems: [{ code: 'no-gears' }] });
    expect(spindleSpeed(25, 0, [70])).toMatchObject({ problems: [{ code: 'no-diameter' }] });
  });
});

describe('boring passes', () => {
  it('grow from the hole to the size in equal cuts, each off what the last left', () => {
    const plan = planBorePasses(20, 30.025);
    if (!plan.ok) throw new Error('no plan');
    expect(plan.value.map((p) => p.kind)).toEqual(['rough', 'rough', 'rough', 'finish', 'finish']);
    expect(plan.value.at(-1)!.toMm).toBeCloseTo(30.025, 9);
    plan.value.reduce((at, p) => {
      expect(p.toMm - at).toBeCloseTo(p.offMm, 9);
      return p.toMm;
    }, 20);
  });
  it('say so when the hole is too large already', () => expect(planBorePasses(31, 30)).toMatchObject({ ok: false }));
  it('leave the bar 2 mm over the drill', () => {
    expect(drillBeforeBoringMm(20, [10, 17.5, 18, 18.5, 20])).toBe(18);
    expect(drillBeforeBoringMm(2, [1, 2])).toBeNull();
  });
});

describe('drilling', () => {
  const metric = [{ id: 'm', kind: 'metric', fromMm: 1, toMm: 13, stepMm: 0.5, version: 1 }] as const;

  it('takes what hangs in the crib first, else what is sold', () => {
    expect(firstDrill(14, metric)).toEqual({ diameterMm: 12, here: true });
    expect(firstDrill(40, metric)).toEqual({ diameterMm: 13, here: true });
    expect(firstDrill(14, [])).toMatchObject({ here: false });
    expect(firstDrill(2.3, [])).toBeNull();
  });

  it('opens a large hole out in steps, the web first', () => {
    expect(drillLadderMm(10, metric)).toEqual([10]);
    expect(drillLadderMm(13, metric)).toEqual([3.5, 13]);
    // 0.3 and 0.6 of 30: 9 and 18, of which 13 is the largest that hangs there.
    expect(drillLadderMm(30, metric)).toEqual([9, 13, 30]);
  });

  it('a point of 118° is three tenths of its diameter high', () => {
    // tan 59° = 1.66428: 10 / 2 / 1.66428.
    expect(pointMm(10)).toBeCloseTo(3.0043, 4);
  });

  it('draws out to clear the chips from three diameters on', () => {
    expect(peckDepthsMm(10, 25)).toEqual([25]);
    expect(peckDepthsMm(10, 30)).toEqual([30]);
    expect(peckDepthsMm(10, 55)).toEqual([30, 40, 50, 55]);
    expect(peckDepthsMm(10, 60)).toEqual([30, 40, 50, 60]);
  });
});
