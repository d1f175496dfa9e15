import fc from 'fast-check';
import { BEARINGS, housingSeat, nearestBearings, shaftSeat, type BearingLoad } from '../bearings';
import { chordHeightMm, keySeats, WOODRUFF, woodruffSeat } from '../keys';
import { materialOf } from '../materials';
import { press, shrinkWays } from '../interference';
import { ringsFor } from '../rings';
import { glandOf, ORINGS, oringsFor, type GlandKind } from '../seals';
import { identifyThread, neededEngagement, threadLimits, THREADS, tapHole } from '../threads';

/** What must hold whatever the size: laws of the trade over all tables of the book. */
const RUNS = { seed: 17, numRuns: 150 };

describe('threads', () => {
  const withLimits = THREADS.filter(
    (t) => !t.tapered && threadLimits(t, 'outside', t.system === 'metric' ? '6g' : '2A').ok && t.majorMm >= 3,
  );

  it('a bolt anywhere within its class limits is still known for what it is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...withLimits),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: -0.003, max: 0.003, noNaN: true }),
        (t, share, slip) => {
          const limits = threadLimits(t, 'outside', t.system === 'metric' ? '6g' : '2A');
          if (!limits.ok) throw new Error(t.name);
          const { lowerMm, upperMm } = limits.value.major;
          const answer = identifyThread('outside', lowerMm! + share * (upperMm! - lowerMm!), t.pitchMm * (1 + slip));
          expect(answer.ok && answer.value.matches.map((m) => m.thread.name)).toContain(t.name);
        },
      ),
      RUNS,
    );
  });

  it('a larger drill always leaves less thread', () => {
    for (const t of withLimits) {
      const hole = tapHole(t, 75);
      if (!hole.ok) throw new Error(t.name);
      const sorted = [...hole.value.drills].sort((a, b) => a.drill.diameterMm - b.drill.diameterMm);
      sorted.slice(1).forEach((d, i) => expect(d.percent).toBeLessThanOrEqual(sorted[i]!.percent));
    }
  });

  it('a softer nut never needs less depth', () => {
    for (const t of withLimits.filter((x) => x.common)) {
      const deep = [800, 400, 200].map((nut) => neededEngagement(t, 800, nut));
      const mm = deep.map((d) => (d.ok ? d.value.neededMm : NaN));
      expect(mm[1]).toBeGreaterThanOrEqual(mm[0]!);
      expect(mm[2]).toBeGreaterThan(mm[1]!);
    }
  });
});

describe('bearing seats', () => {
  it('the ring that turns is always the tighter one, and more load never loosens it', () => {
    for (const b of BEARINGS.filter((x) => x.kind === 'ball' && x.boreMm >= 10)) {
      const shaft = (load: BearingLoad, turns: 'inner' | 'outer') => {
        const s = shaftSeat(b.boreMm, load, turns);
        if (!s.ok) throw new Error(b.code);
        return s.value.mostClearanceMm;
      };
      expect(shaft('normal', 'inner')).toBeLessThan(shaft('normal', 'outer'));
      expect(shaft('heavy', 'inner')).toBeLessThanOrEqual(shaft('light', 'inner'));
      const housing = (turns: 'inner' | 'outer') => {
        const s = housingSeat(b.outsideMm, 'normal', turns);
        if (!s.ok) throw new Error(b.code);
        return s.value.mostClearanceMm;
      };
      expect(housing('outer')).toBeLessThan(housing('inner'));
    }
  });

  it('every bearing is found back from its own three sizes', () => {
    for (const b of BEARINGS) {
      const { boreMm, outsideMm, widthMm } = b;
      const [found] = nearestBearings({ boreMm, outsideMm, widthMm }, 1);
      expect([found!.boreMm, found!.outsideMm, found!.widthMm]).toEqual([boreMm, outsideMm, widthMm]);
    }
  });
});

describe('keys and rings', () => {
  it('a seat leaves more than half of the shaft, and the key stands out of it', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 220, noNaN: true }), (d) => {
        const seats = keySeats(d);
        if (!seats.ok) throw new Error(seats.problems[0]!.message);
        for (const s of seats.value) {
          expect(s.overShaftMm).toBeGreaterThan(0.6 * d);
          expect(s.heightMm).toBeGreaterThan(s.fromCrownMm);
          expect(s.fromCrownMm - s.afterFlatMm).toBeCloseTo(chordHeightMm(d, s.widthMm), 9);
          expect(s.overHubMm).toBeGreaterThan(d);
        }
      }),
      RUNS,
    );
  });

  it('every Woodruff key that is taken stands proud of its shaft, in a seat that leaves the middle alone', () => {
    for (const key of WOODRUFF) {
      let taken = 0;
      for (let d = key.widthMm; d < 120; d += 0.5) {
        const seat = woodruffSeat(key.name, d);
        if (!seat.ok) continue;
        taken++;
        expect(seat.value.standsOutMm).toBeGreaterThan(0);
        expect(seat.value.fromCrownMm).toBeLessThan(d / 2);
        // The key's top stands over the crown, worked from the middle of the shaft.
        expect(d / 2 - seat.value.fromCrownMm + key.leastHeightMm).toBeGreaterThan(d / 2);
      }
      expect(taken).toBeGreaterThan(5);
    }
  });

  it('a ring groove is never deeper than a fifth of the radius from 10 mm on', () => {
    for (let d = 10; d <= 100; d++)
      for (const on of ['shaft', 'bore'] as const) {
        const rings = ringsFor(on, d);
        if (!rings.ok) continue;
        for (const r of rings.value.filter((x) => x.kind === 'ring')) expect(Math.abs(d - r.grooveMm) / 2).toBeLessThan(d / 10);
      }
  });
});

describe('press and shrink', () => {
  const steel = materialOf('steel-c45')!;
  const fit = { lengthMm: 30, rzHubMm: 0, rzShaftMm: 0, hub: steel, shaft: steel, friction: 0.12 };

  it('a thinner hub or shaft wall never grips harder, and force goes with interference', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 200, noNaN: true }),
        fc.double({ min: 1.2, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        (d, out, bore) => {
          const force = (hubOutsideMm: number, shaftBoreMm: number, interferenceMm: number): number => {
            const r = press({ ...fit, diameterMm: d, hubOutsideMm, shaftBoreMm, interferenceMm });
            if (!r.ok) throw new Error(r.problems[0]!.message);
            return r.value.pushForceN;
          };
          const base = force(out * d, bore * d, 0.03);
          expect(force(out * 0.98 * d, bore * d, 0.03)).toBeLessThanOrEqual(base + 1e-9);
          expect(force(out * d, Math.min(bore + 0.05, 0.95) * d, 0.03)).toBeLessThanOrEqual(base + 1e-9);
          expect(force(out * d, bore * d, 0.06) / base).toBeCloseTo(2, 9);
        },
      ),
      RUNS,
    );
  });

  it('heat and cold together never need a hotter hub than heat alone', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 0.005, max: 0.2, noNaN: true }),
        (diameterMm, interferenceMm) => {
          const ways = shrinkWays({
            diameterMm,
            interferenceMm,
            enteringMm: 0.02,
            hubAlphaPerK: 11.5e-6,
            heated: 'open bearing',
            shaftAlphaColdPerK: 8.5e-6,
            roomC: 20,
          });
          if (!ways.ok) throw new Error('no ways');
          const [heat, , , ice, nitrogen] = ways.value;
          expect(ice!.hubC).toBeLessThanOrEqual(heat!.hubC);
          expect(nitrogen!.hubC).toBeLessThanOrEqual(ice!.hubC);
          expect(nitrogen!.hubC).toBeGreaterThanOrEqual(20);
        },
      ),
      RUNS,
    );
  });
});

describe('O-rings', () => {
  it.each(['moving rod', 'static rod'] as const)('the ring that is named first for a %s suits its gland', (kind: GlandKind) => {
    for (const ring of ORINGS.filter((r) => r.port === null && r.insideMm > 8 && r.insideMm < 100)) {
      const rod = ring.insideMm * 1.005;
      const depthMm = ring.sectionMm * (kind === 'moving rod' ? 0.85 : 0.78);
      const [best] = oringsFor(kind, rod, depthMm, 1);
      const gland = glandOf({
        ring: best!,
        kind,
        runsOnMm: rod,
        grooveMm: rod + 2 * depthMm,
        grooveWidthMm: 1.4 * ring.sectionMm,
        pressureMpa: 5,
      });
      if (!gland.ok) throw new Error(ring.name);
      expect(gland.value.findings.filter((f) => !f.fits)).toEqual([]);
    }
  });

  it('a shallower groove squeezes more and fills more', () => {
    const at = (deep: number) => {
      const ring = ORINGS.find((r) => r.name === '-214')!;
      const g = glandOf({ ring, kind: 'moving rod', runsOnMm: 25.4, grooveMm: 25.4 + 2 * deep, grooveWidthMm: 4.75, pressureMpa: 1 });
      if (!g.ok) throw new Error('no gland');
      return g.value;
    };
    for (let deep = 2.6; deep < 3.4; deep += 0.1) {
      expect(at(deep).squeeze).toBeGreaterThan(at(deep + 0.1).squeeze);
      expect(at(deep).fill).toBeGreaterThan(at(deep + 0.1).fill);
    }
  });
});
