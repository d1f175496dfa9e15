import { seededRandom } from '../../evidence/proof';
import { newPart, surface, type Part, type PartFeature } from '../part';
import { anyPart } from '../part/testing-parts';
import type { Lathe } from '../setups';
import { heldPlan, rankedWays, WAY_IDS, workOf, type HeldPlan, type SetUp, type WayId } from '.';
import { predictedRunOut } from './run-out';

const LATHE: Lathe = {
  ...{ id: 'l', name: 'Lathe', gearsRpm: [100], swingMm: 400, centresMm: 1000, readout: null, spindleBoreMm: 40 },
  cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
  carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
};
/** A gearbox shaft: thread end, seat, gear seat, collar, seat, seal land. */
const STEPS = [
  ['end', 22, 20],
  ['seat-left', 34, 25],
  ['gear', 90, 30],
  ['collar', 8, 44],
  ['seat-right', 34, 25],
  ['seal', 38, 24],
] as const;
const trueTo = (on: string, to: string, mm: number): PartFeature => ({
  ...{ id: `r-${on}`, kind: 'relation', on, name: 'True', which: 'run-out', of: '', to, mm },
});
const shaft = (mm: number): Part => ({
  ...{ name: 'Shaft', materialId: 'steel-c45', bores: [], limits: {}, block: null },
  outside: STEPS.map(([id, l, d]) => surface(id, 'cylinder', id, l, d)),
  features: [trueTo('seat-right', 'seat-left', mm)],
});
const held = (way: WayId, part: Part, lathe = LATHE): HeldPlan => {
  const plan = heldPlan(way, workOf(part, lathe, 50, 'mm'));
  if (!plan.ok) throw new Error(plan.problems[0]!.message);
  return plan.value;
};
const askedOf = (way: WayId, mm = 0.01, lathe = LATHE) => held(way, shaft(mm), lathe).asked[0]!;

describe('run-out from the holdings', () => {
  it('is one chucking’s where both are cut in it, and that of the re-holding where not', () => {
    expect(askedOf('bar')).toMatchObject({ state: 'fits', predicted: { mostMm: 0.005 } });
    expect(askedOf('round-chuck')).toMatchObject({ state: 'out', predicted: { mostMm: 0.08 } });
    expect(askedOf('round-four-jaw')).toMatchObject({ state: 'fits', predicted: { mostMm: 0.01 } });
    expect(askedOf('centres')).toMatchObject({ state: 'fits', predicted: { mostMm: 0.005 } });
  });

  it('takes this lathe’s own record where there is one', () => {
    const own = { ...LATHE, holdings: [{ kind: 'three-jaw', runOutMm: 0.031 } as const, { kind: 'centres', runOutMm: null } as const] };
    expect(askedOf('round-chuck', 0.01, own).predicted).toMatchObject({ mostMm: 0.031, steps: [{ mm: 0.031 }] });
    expect(askedOf('round-chuck', 0.01, own).predicted!.steps[0]!.words).toContain('record of Lathe');
    expect(held('round-four-jaw', shaft(0.01), own).cannot[0]).toContain('no four-jaw chuck');
    expect(held('centres', shaft(0.01), own).cannot).toEqual([]);
  });

  it('is that of every holding between two that were held one on another', () => {
    // Three holdings, each on what the one before it cut; held up against offsets that really lie in any direction.
    const set = (number: number, cuts: string[], on: SetUp['locates']): SetUp => ({
      ...{
        number,
        title: `${number}`,
        hold: '',
        zeroFace: '',
        operations: [],
        acts: [],
        after: null,
        cautions: [],
        fromFarEnd: false,
        partsOff: false,
      },
      ...{
        toLength: false,
        machine: 'lathe',
        overhangMm: 0,
        support: 'none',
        holding: number === 2 ? 'soft-jaws' : 'four-jaw',
        locates: on,
        free: 'near',
        cuts,
        settingMin: 1,
      },
    });
    const setUps = [
      set(1, ['a'], { on: 'stock' }),
      set(2, ['b'], { on: 'surface', id: 'a' }),
      set(3, ['c'], { on: 'surface', id: 'b' }),
      set(4, ['d'], { on: 'surface', id: 'a' }),
    ];
    const predicted = predictedRunOut('c', 'd', setUps, LATHE)!;
    const random = seededRandom(3);
    const offsets = [0.01, 0.02, 0.01].map((mm) => mm / 2);
    const swings = Array.from({ length: 20_000 }, () => {
      const [x, y] = offsets.reduce(
        ([px, py], e) => {
          const t = 2 * Math.PI * random();
          return [px + e * Math.cos(t), py + e * Math.sin(t)] as const;
        },
        [0, 0] as readonly [number, number],
      );
      return 2 * Math.hypot(x, y);
    });
    const rms = Math.sqrt(swings.reduce((s, v) => s + v * v, 0) / swings.length);
    expect(predicted.usualMm).toBeCloseTo(rms, 3);
    expect(Math.max(...swings)).toBeLessThanOrEqual(predicted.mostMm);
    expect(Math.max(...swings)).toBeGreaterThan(0.97 * predicted.mostMm);
    expect(predictedRunOut('a', 'b', setUps, LATHE)!.mostMm).toBe(0.02);
  });

  it('is not known where nothing ties two holdings, or one is on the mill', () => {
    const plan = held('bar', shaft(0.01));
    expect(predictedRunOut('seat-left', 'nothing', plan.setUps, LATHE)).toBeNull();
    const loose = plan.setUps.map((s) => ({ ...s, locates: { on: 'stock' } as const }));
    const moved = loose.map((s) => ({ ...s, cuts: s.number === 2 ? ['seal'] : s.cuts.filter((id) => id !== 'seal') }));
    expect(predictedRunOut('seat-left', 'seal', moved, LATHE)).toBeNull();
  });
});

describe('ways to hold it', () => {
  it('are ranked by what the lathe can, then by what runs true enough, then by the time', () => {
    const { plans } = rankedWays(workOf(shaft(0.01), LATHE, 50, 'mm'));
    const ways = plans.map((p) => p.way);
    expect(ways.indexOf('round-chuck')).toBeGreaterThan(ways.indexOf('round-four-jaw'));
    expect(ways.indexOf('round-chuck')).toBeGreaterThan(ways.indexOf('centres'));
    // Where nothing must run true, the quickest is first.
    const free = rankedWays(workOf({ ...shaft(0.01), features: [] }, LATHE, 50, 'mm')).plans;
    expect(free[0]!.settingMin).toBe(Math.min(...free.map((p) => p.settingMin)));
    const without = { ...LATHE, holdings: [{ kind: 'four-jaw' as const, runOutMm: null }] };
    expect(rankedWays(workOf(shaft(0.01), without, 50, 'mm')).plans[0]!.way).toBe('round-four-jaw');
  });

  it('say why a part cannot be held so', () => {
    const why = (part: Part): Record<string, string> =>
      Object.fromEntries(rankedWays(workOf(part, LATHE, 60, 'mm')).no.map((n) => [n.way, n.why]));
    expect(why(newPart('plain-pin', 'Pin', 40, 120))).toMatchObject({
      'round-chuck': expect.stringContaining('one surface'),
      centres: expect.stringContaining('one surface'),
      mandrel: 'It is not bored through.',
    });
    expect(why(newPart('flanged-bush', 'Bush', 50, 40))['centres']).toContain('bored through');
  });

  it.each(['near', 'far'] as const)('bore a wider mouth from its own end, never through the narrower hole: %s', (from) => {
    const bush = newPart('plain-bush', 'Bush', 30, 60);
    const surfaces = [surface('mouth', 'cylinder', 'Mouth', 12, 26), surface('hole', 'cylinder', 'Hole', 48, 20)];
    const stepped = { ...bush, outside: [surface('a', 'cylinder', 'A', 25, 40), surface('b', 'cylinder', 'B', 35, 36)], features: [] };
    const { plans } = rankedWays(workOf({ ...stepped, bores: [{ id: 'b', from, through: true, surfaces }] }, LATHE, 50, 'mm'));
    expect(plans.length).toBeGreaterThan(3);
    for (const { setUps, way } of plans) expect([way, setUps.find((s) => s.cuts.includes('mouth'))!.free]).toEqual([way, from]);
  });

  it('tell a shaft longer than the bed, and a seat too thick for a collet', () => {
    expect(held('centres', shaft(0.01), { ...LATHE, centresMm: 200 }).cannot[0]).toContain('226 mm long');
    const thin = heldPlan('round-collet', workOf(shaft(0.01), { ...LATHE, spindleBoreMm: 10 }, 50, 'mm'));
    expect(thin).toMatchObject({ ok: false, problems: [{ message: expect.stringContaining('too thick for a collet') }] });
  });

  it('hold a slender one with the tailstock, a very slender one with a steady, and bring the centre into a bore’s mouth', () => {
    const hold = (l: number): string => held('bar', newPart('plain-pin', 'Pin', 40, l)).setUps[0]!.hold;
    expect(hold(90)).toContain('short overhang');
    expect(hold(160)).toContain('tailstock centre');
    expect(hold(600)).toContain('steady');
    expect(held('bar', newPart('plain-bush', 'Bush', 30, 200)).setUps[0]!.operations.join()).toContain('mouth of the bore');
  });

  it('hold a bar in a collet that it goes through, and a ring on the faceplate, clamped at the rim and then through its bore', () => {
    const why = (part: Part, bar = 50, lathe = LATHE): Record<string, string> =>
      Object.fromEntries(rankedWays(workOf(part, lathe, bar, 'mm')).no.map((n) => [n.way, n.why]));
    const pin = newPart('plain-pin', 'Pin', 30, 200);
    expect(why(pin)['bar-collet']).toContain('The bar is 50 mm thick, too thick for a collet: the spindle takes 40 mm.');
    expect(held('bar-collet', pin, { ...LATHE, spindleBoreMm: 60 }).setUps[0]).toMatchObject({ holding: 'collet', support: 'tailstock' });
    expect(why(pin)['faceplate']).toContain('a chuck holds it better');
    expect(why(newPart('plain-pin', 'Disc', 100, 20), 105)['faceplate']).toContain('No hole goes through it');
    expect(why(newPart('repair-ring', 'Ring', 390, 30), 420)['faceplate']).toContain('420 mm across and Lathe swings 400 mm');
    const ring = held('faceplate', newPart('repair-ring', 'Ring', 100, 30));
    expect(ring.setUps.map((s) => [s.title, s.locates.on])).toEqual([
      ['Face and bore', 'stock'],
      ['Rim and other face', 'surface'],
    ]);
    expect(ring.worst).toMatchObject({ mostMm: 0.01 });
    expect(ring.setUps[0]!.cautions.join()).toContain('counterweight');
    expect(
      held('faceplate', newPart('repair-ring', 'Ring', 100, 30), { ...LATHE, holdings: [{ kind: 'three-jaw', runOutMm: null }] }).cannot,
    ).toEqual(['Lathe has no faceplate on its card.']);
  });

  it('turn what is one surface between centres too, left long for the dog, and a long tube in the steady', () => {
    const pin = newPart('plain-pin', 'Pin', 40, 200);
    const long = held('centres-long', pin);
    expect(long.setUps.map((s) => s.title)).toEqual(['Face and centre both ends', 'The whole outside', 'Cut off what the dog held']);
    expect(long.setUps[1]!.cuts).toEqual(expect.arrayContaining(pin.outside.map((s) => s.id)));
    expect(long.setUps[2]!.locates).toEqual({ on: 'surface', id: pin.outside[0]!.id });
    const tube = newPart('plain-bush', 'Tube', 60, 400);
    const steady = held('steady', tube);
    // Nothing stands in the mouth of the bore while it is bored, and it comes off the bar after that.
    const bored = steady.setUps.find((s) => s.cuts.includes(tube.bores[0]!.surfaces[0]!.id))!;
    expect([bored.holding, bored.support, bored.partsOff]).toEqual(['steady', 'none', true]);
    expect(steady.worst).toMatchObject({ mostMm: 0.02 });
    expect(bored.cautions.join()).toContain('fingers are oiled');
    // With its other end on a centre it is turned, but not bored: from the bar it cannot be, and the steady comes first.
    expect(held('bar', tube).cannot.join()).toContain('no centre can hold its end then');
    expect(held('bar', newPart('plain-bush', 'Bush', 60, 120)).cannot).toEqual([]);
    expect(held('bar', newPart('plain-pin', 'Pin', 40, 200)).cannot).toEqual([]);
    expect(rankedWays(workOf(tube, LATHE, 65, 'mm')).plans[0]!.way).toBe('steady');
    const short = heldPlan('steady', workOf(newPart('plain-bush', 'Bush', 30, 40), LATHE, 50, 'mm'));
    expect(short).toMatchObject({ ok: false, problems: [{ message: expect.stringContaining('short enough') }] });
  });

  it('tell how true it runs to what stays as it was bought, where a holding is on that', () => {
    const part = { ...shaft(0.03), features: [trueTo('seat-left', 'seal', 0.03)] };
    const asked = (way: WayId, mm: number | null) => {
      const lathe = {
        ...LATHE,
        spindleBoreMm: 60,
        holdings: [
          { kind: 'collet' as const, runOutMm: mm },
          { kind: 'three-jaw' as const, runOutMm: null },
        ],
      };
      const plan = heldPlan(way, workOf(part, lathe, 50, 'mm', { asBought: new Set(['seal']) }));
      return plan.ok ? plan.value.asked[0] : null;
    };
    // The seal land is held on: what is turned in that holding runs out to it as the collet does.
    expect(asked('bar-collet', 0.012)).toMatchObject({ state: 'fits', predicted: { mostMm: 0.012 } });
    expect(asked('bar', null)).toMatchObject({ state: 'out', predicted: { mostMm: 0.08 } });
    // Turned round it is held with the same care from the beginning; between centres these are drilled while a three-jaw chuck has it.
    const [jaws, dialled] = [asked('round-chuck', null)!.predicted!, asked('round-four-jaw', null)!.predicted!];
    expect([jaws.mostMm, dialled.mostMm]).toEqual([0.08, 0.01]);
    const centres = asked('centres', null)!.predicted!;
    expect(centres.steps).toHaveLength(2);
    expect(centres.mostMm).toBeGreaterThan(0.08);
    const seal = (way: WayId) => heldPlan(way, workOf(part, LATHE, 50, 'mm', { asBought: new Set(['seal']) }));
    // So the worst of the whole part is no less than what is asked to it.
    for (const way of ['round-chuck', 'round-four-jaw', 'centres'] as const) {
      const plan = seal(way);
      expect(plan.ok && plan.value.worst!.mostMm).toBeGreaterThanOrEqual(asked(way, null)!.predicted!.mostMm);
    }
  });

  it('put an eccentric, what is milled, broached and hardened behind the turning', () => {
    const part: Part = {
      ...shaft(0.01),
      features: [
        {
          id: 'e',
          kind: 'eccentric',
          on: 'gear',
          name: 'Throw',
          atMm: 10,
          lengthMm: 20,
          diameterMm: 20,
          throwMm: 3,
          clockDeg: 0,
          timedTo: '',
        },
        {
          id: 'h',
          kind: 'cross-hole',
          on: 'end',
          name: 'Hole',
          atMm: 11,
          diameterMm: 4,
          through: 'through',
          depthMm: 10,
          thread: '',
          sinkMm: 0,
          sinkDeg: 90,
          clockDeg: 30,
          timedTo: '',
        },
      ] as unknown as PartFeature[],
    };
    const titles = held('bar', part).setUps.map((s) => s.title);
    expect(titles.slice(2)).toEqual(['Beside the axis', 'Across the axis, on the mill']);
    const [beside, across] = held('bar', part).setUps.slice(2);
    expect(beside).toMatchObject({ hold: expect.stringContaining('throw 6.000 mm'), cautions: [expect.stringContaining('counterweight')] });
    expect(across!.operations[0]).toMatch(/4 mm at 11 mm, 30°/);
  });

  it('bore a bush with its outside, and warn of bronze chips', () => {
    const [first] = held('bar', newPart('flanged-bush', 'Bush', 50, 40)).setUps;
    expect(first!.operations.join()).toContain('Drill and bore through, past the part-off');
    expect(first!.cautions.join()).toContain('needle chips');
    const mandrel = held('mandrel', newPart('flanged-bush', 'Bush', 50, 40));
    expect(mandrel.setUps.map((s) => s.title)).toEqual(['Face and bore', 'Outside and both faces']);
    expect(mandrel.worst).toMatchObject({ mostMm: 0.01 });
  });
});

describe('what somebody moves', () => {
  it('changes the prediction, and what is held on before it is cut is said', () => {
    const work = workOf(shaft(0.02), LATHE, 50, 'mm');
    const moved = heldPlan('bar', work, { moved: [{ id: 'seat-right', to: 2 }] });
    if (!moved.ok) throw new Error('no plan');
    expect(moved.value.setUps[1]!.cuts).toContain('seat-right');
    expect(moved.value.setUps[0]!.cuts).not.toContain('seat-right');
    expect(moved.value.asked[0]).toMatchObject({ state: 'out', predicted: { mostMm: 0.08 } });
    expect(moved.value.cannot).toEqual([]);
    const broken = heldPlan('bar', work, { moved: [{ id: 'gear', to: 2 }] });
    expect(broken).toMatchObject({ value: { cannot: ['Set-up 2 holds on gear, which is not cut before it.'] } });
    // What is no longer there moves nothing.
    expect(
      heldPlan('bar', work, {
        moved: [
          { id: 'constructor', to: 1 },
          { id: 'gear', to: 9 },
        ],
        order: [
          { setUp: 1, keys: ['constructor'] },
          { setUp: 9, keys: ['gear'] },
        ],
      }),
    ).toEqual(heldPlan('bar', work));
  });
});

describe('any part, any way', () => {
  const random = seededRandom(11);
  const ring = newPart('repair-ring', 'Ring', 100, 30);
  const parts = [...Array.from({ length: 60 }, () => anyPart(random)), ring];
  const plans = parts.flatMap((part) =>
    WAY_IDS.flatMap((way) => {
      const work = workOf(part, LATHE, 0, 'mm');
      const plan = heldPlan(way, work);
      return plan.ok ? [{ part, work, plan: plan.value }] : [];
    }),
  );

  it('is held in every way by some', () => expect(new Set(plans.map((p) => p.plan.way))).toEqual(new Set(WAY_IDS)));

  it('everything is cut once', () => {
    for (const { work, plan } of plans)
      expect([plan.way, plan.setUps.flatMap((s) => s.cuts).sort()]).toEqual([plan.way, work.cuts.map((c) => c.id).sort()]);
  });

  it('what it is held on was cut before, and what needs an end free has it free', () => {
    for (const { work, plan } of plans) {
      expect(plan.cannot.filter((c) => c.includes('holds on'))).toEqual([]);
      for (const s of plan.setUps) {
        const on = s.locates;
        if (on.on === 'surface') expect(plan.setUps.some((o) => o.number < s.number && o.cuts.includes(on.id))).toBe(true);
        for (const c of work.cuts.filter((x) => s.cuts.includes(x.id) && x.from !== 'either' && x.by === 'lathe'))
          expect([plan.way, s.title, c.from, s.free]).toEqual([plan.way, s.title, c.from, s.free === 'both' ? 'both' : c.from]);
      }
    }
  });

  it('nothing comes before what it needs', () => {
    for (const { plan } of plans) expect([plan.way, plan.outOfOrder]).toEqual([plan.way, []]);
  });

  it('nothing is turned where the chuck has it', () => {
    for (const { plan } of plans)
      for (const s of plan.setUps) if (s.locates.on === 'surface' && s.holding) expect(s.cuts).not.toContain(s.locates.id);
  });
});
