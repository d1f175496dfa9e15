import fc from 'fast-check';
import { materialOf } from '../materials';
import { pressLayers } from './layers';
import { boreBeforePressing, press, pressurePerMm, type PressFit } from './press';
import { coldAlphaPerK, shrinkWays } from './shrink';

const steel = { ...materialOf('steel-c45')!, youngMpa: 210_000, poisson: 0.3 };
const bronze = materialOf('bronze-tin')!;
const iron = materialOf('iron-grey')!;

const fit: PressFit = {
  diameterMm: 50,
  hubOutsideMm: 100,
  shaftBoreMm: 0,
  lengthMm: 40,
  interferenceMm: 0.05,
  rzHubMm: 0,
  rzShaftMm: 0,
  hub: steel,
  shaft: steel,
  friction: 0.12,
};

const value = (f: PressFit): Exclude<ReturnType<typeof press>, { ok: false }>['value'] => {
  const r = press(f);
  if (!r.ok) throw new Error(r.problems[0]!.message);
  return r.value;
};

describe('press', () => {
  it('steel in steel: 0.05 mm on 50 in 100 is 78.75 MPa by p = E delta/(2 d) (1 - d²/D²)', () => {
    const r = value(fit);
    expect(r.pressureMpa).toBeCloseTo(((210_000 * 0.05) / (2 * 50)) * (1 - 0.25), 6);
    expect(r.pressureMpa).toBeCloseTo(78.75, 6);
    expect(r.hubHoopMpa).toBeCloseTo((78.75 * 5) / 3, 6);
    expect(r.pushForceN).toBeCloseTo(0.12 * 78.75 * Math.PI * 50 * 40, 3);
    expect(r.torqueNm).toBeCloseTo((r.pushForceN * 25) / 1000, 6);
    expect(r.boreClosesMm).toBe(0);
  });

  it('agrees with the one-material formula for hollow shafts (Shigley eq. 3-57), whatever the sizes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.double({ min: 1.1, max: 4, noNaN: true }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        (in_, out, d) => {
          const f = { ...fit, diameterMm: d, shaftBoreMm: in_ * d, hubOutsideMm: out * d };
          const [R, ri, ro] = [d / 2, (in_ * d) / 2, (out * d) / 2];
          const published = ((210_000 * 0.5) / (2 * R ** 3)) * (((ro ** 2 - R ** 2) * (R ** 2 - ri ** 2)) / (ro ** 2 - ri ** 2));
          expect(pressurePerMm(f) / published).toBeCloseTo(1, 9);
        },
      ),
      { seed: 1, numRuns: 50 },
    );
  });

  it('takes 0.8 of both roughnesses off, and says when nothing is left', () => {
    const r = value({ ...fit, rzHubMm: 0.01, rzShaftMm: 0.006 });
    expect(r.effectiveMm).toBeCloseTo(0.05 - 0.0128, 9);
    expect(press({ ...fit, interferenceMm: 0.01, rzHubMm: 0.01, rzShaftMm: 0.006 })).toMatchObject({
      problems: [{ code: 'no-interference' }],
    });
    expect(press({ ...fit, interferenceMm: -0.02 })).toMatchObject({ problems: [{ code: 'no-interference' }] });
  });

  it('the bush governs: Tresca at its bore 2 p d²/(d² - di²), warned past yield', () => {
    const bush = { ...fit, diameterMm: 32, shaftBoreMm: 25, hubOutsideMm: 70, shaft: bronze, interferenceMm: 0.06 };
    const r = value(bush);
    const shaft = r.stresses.find((s) => s.part === 'shaft')!;
    expect(shaft.stressMpa).toBeCloseTo((2 * r.pressureMpa * 32 ** 2) / (32 ** 2 - 25 ** 2), 6);
    expect(shaft.verdict).toBe('warn');
    expect(r.stresses.find((s) => s.part === 'hub')!.verdict).toBe('holds');
  });

  it('refuses a grey iron hub stretched past half its tensile strength, by tension', () => {
    const r = value({ ...fit, hub: iron, interferenceMm: 0.15 });
    const hub = r.stresses[0]!;
    expect(hub.stressMpa).toBeCloseTo(r.hubHoopMpa, 9);
    expect(hub).toMatchObject({ limitMpa: 125, verdict: 'refuse' });
    expect(value({ ...fit, hub: iron, interferenceMm: 0.03 }).stresses[0]!.verdict).toBe('holds');
  });

  it('closes a bush by 2 p di d²/(E (d² - di²)), and bores it larger beforehand by just that', () => {
    const bush = { ...fit, diameterMm: 32, shaftBoreMm: 25, hubOutsideMm: 70, shaft: bronze, interferenceMm: 0.03 };
    const r = value(bush);
    expect(r.boreClosesMm).toBeCloseTo((2 * r.pressureMpa * 25 * 32 ** 2) / (96_000 * (32 ** 2 - 25 ** 2)), 9);
    const before = boreBeforePressing(bush, 25);
    if (!before.ok) throw new Error('no size');
    expect(before.value - value({ ...bush, shaftBoreMm: before.value }).boreClosesMm).toBeCloseTo(25, 6);
    expect(before.value).toBeGreaterThan(25.015);
  });

  it.each([
    ['diameterMm', { diameterMm: 0 }],
    ['hubOutsideMm', { hubOutsideMm: 50 }],
    ['shaftBoreMm', { shaftBoreMm: 50 }],
    ['lengthMm', { lengthMm: NaN }],
    ['friction', { friction: 0 }],
  ])('names the field that is wrong: %s', (path, change) =>
    expect(press({ ...fit, ...change })).toMatchObject({ ok: false, problems: [{ path }] }),
  );
});

describe('layers', () => {
  const ring = (name: string, boreMm: number, outsideMm: number) => ({ name, boreMm, outsideMm, youngMpa: 210_000, poisson: 0.3 });

  it('two rings are a press fit', () => {
    const r = pressLayers([ring('shaft', 20, 50), ring('hub', 50, 100)], [0.05]);
    if (!r.ok) throw new Error('no layers');
    expect(r.value.pressuresMpa[0]).toBeCloseTo(0.05 * pressurePerMm({ ...fit, shaftBoreMm: 20 }), 9);
    expect(r.value.boreClosesMm).toBeCloseTo(value({ ...fit, shaftBoreMm: 20 }).boreClosesMm, 9);
  });

  it('of one material superpose: the sleeve pressed later adds to the joint inside it (textbook compound cylinder)', () => {
    const r = pressLayers([ring('bush', 30, 40), ring('sleeve', 40, 50), ring('housing', 50, 100)], [0.02, 0.03]);
    if (!r.ok) throw new Error('no layers');
    // Joint 1 alone, hub being sleeve and housing as one; then joint 2's pressure felt at radius of joint 1 inside one solid ring.
    const alone1 = 0.02 * pressurePerMm({ ...fit, diameterMm: 40, shaftBoreMm: 30, hubOutsideMm: 100 });
    const alone2 = 0.03 * pressurePerMm({ ...fit, diameterMm: 50, shaftBoreMm: 30, hubOutsideMm: 100 });
    const radialAt = (p: number, r: number, ri: number, ro: number): number => (p * ro ** 2 * (1 - (ri / r) ** 2)) / (ro ** 2 - ri ** 2);
    expect(r.value.pressuresMpa[0]).toBeCloseTo(alone1 + radialAt(alone2, 40, 30, 50), 6);
  });

  it('say which joint is loose and which ring has no wall', () => {
    expect(pressLayers([ring('bush', 30, 40), ring('sleeve', 40, 50)], [0])).toMatchObject({ problems: [{ path: 'interferencesMm.0' }] });
    expect(pressLayers([ring('bush', 30, 40), ring('sleeve', 40, 40)], [0.1])).toMatchObject({ problems: [{ path: 'layers.1' }] });
    expect(pressLayers([ring('bush', 30, 40)], [])).toMatchObject({ ok: false });
  });
});

describe('shrink', () => {
  const q = {
    diameterMm: 50,
    interferenceMm: 0.05,
    enteringMm: 0.05,
    hubAlphaPerK: 11.5e-6,
    heated: 'cast iron or soft steel',
    shaftAlphaColdPerK: 8.5e-6,
    roomC: 20,
  } as const;
  const ways = (question: Parameters<typeof shrinkWays>[0]) => {
    const w = shrinkWays(question);
    if (!w.ok) throw new Error('no ways');
    return w.value;
  };

  it('heats a 50 mm hub 174 K for 0.05 interference and 0.05 to enter', () => {
    expect(ways(q)[0]).toMatchObject({ way: 'heat the hub', hubC: expect.closeTo(20 + 0.1 / (11.5e-6 * 50), 6), possible: true });
  });

  it('keeps to what the part stands: not a sealed bearing at 194 °C', () => {
    expect(ways({ ...q, heated: 'sealed bearing' })[0]).toMatchObject({ possible: false, words: expect.stringContaining('80 °C') });
    expect(ways({ ...q, heated: 'open bearing', interferenceMm: 0.015, enteringMm: 0.02 })[0]!.possible).toBe(true);
  });

  it('dry ice alone is too little here, nitrogen nearly; both together need less heat', () => {
    const w = ways(q);
    expect(w[1]).toMatchObject({ bath: 'dry ice', possible: false });
    expect(w[2]!.words).toContain((8.5e-6 * 50 * 216 * 0.8).toFixed(3));
    expect(w[3]!.hubC).toBeLessThan(w[0]!.hubC);
    expect(w[4]!.hubC).toBeLessThan(w[3]!.hubC);
  });

  it('asks for what is missing', () => {
    expect(shrinkWays({ ...q, interferenceMm: 0 })).toMatchObject({ problems: [{ path: 'interferenceMm' }] });
    expect(shrinkWays({ ...q, enteringMm: -1 })).toMatchObject({ problems: [{ path: 'enteringMm' }] });
    expect(shrinkWays({ ...q, diameterMm: NaN })).toMatchObject({ problems: [{ path: 'diameterMm' }] });
  });
});

it.each([
  // DIN 7190-1: contraction on undercooling, 1e-6 per kelvin, of the metal that is cooled.
  ['steel-c45', 8.5],
  ['iron-grey', 8],
  ['bronze-tin', 14],
  ['bronze-leaded', 15],
  ['brass', 16],
  ['aluminium-6082', 18],
  ['magnesium-cast', 21],
])('%s shrinks by %d in the cold', (id, alpha) => expect(coldAlphaPerK(materialOf(id)!) * 1e6).toBeCloseTo(alpha, 9));
