import { candidatesBetween } from './candidates';
import { wearDensity } from './likelihood';
import type { NominalEvidence } from './likelihood';
import { recoverNominals, type RecoveredNominal } from './recover';
import { normalDraws, seededRandom } from '../proof';
import { machineScore, probabilityBuckets, wornMachine } from './worn-machines';

/** One place by itself. */
const recoverNominal = (e: NominalEvidence, inchPrior = 0.5): RecoveredNominal =>
  recoverNominals([{ ...e, id: 'it', twinIds: [] }], inchPrior).byPlace.get('it')!;
const first = (r: RecoveredNominal): string => r.ranked[0]!.name;

describe('what was it?', () => {
  it('finds 40 mm f7 from an unworn land, whatever the worn place shows', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 39.975, uMm: 0.003 }, worn: { sizeMm: 39.67, uMm: 0.003 } }, 0.4);
    expect(first(r)).toBe('40 mm f7');
    expect(r.ranked[0]!.probability).toBeGreaterThan(0.9);
    expect(r.canTell).toBe(true);
    expect(r.ranked[0]!.reasons[0]).toContain('inside f7');
  });

  it('finds 3/4 in from a land a thou under', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 0.749 * 25.4, uMm: 0.003 }, worn: null }, 0.6);
    expect(first(r)).toBe('3/4 in');
  });

  it('never lets a worn round number win over the unworn land', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 24.985, uMm: 0.003 }, worn: { sizeMm: 24.5, uMm: 0.002 } });
    expect(first(r)).toContain('25 mm');
    expect(r.ranked.find((x) => x.sizeMm === 24.5)?.probability ?? 0).toBeLessThan(0.001);
  });

  it('says that it cannot tell without a land when candidates stand closer than the wear', () => {
    const r = recoverNominal({ side: 'outside', land: null, worn: { sizeMm: 24.35, uMm: 0.01 } });
    expect(r.canTell).toBe(false);
    expect(r.note).toContain('cannot be told apart');
  });

  it('holds against a size that all stations would have had to wear down from alike', () => {
    // A damper's shaft, 12.50 to 12.51 wherever it is read: half an inch would have lost 0.19 evenly, 12.5 h or f has lost nothing.
    const shares = (rangeMm: number | undefined): number[] => {
      const worn = { sizeMm: 12.5, uMm: 0.003, ...(rangeMm !== undefined && { rangeMm }) };
      const r = recoverNominal({ side: 'outside', land: null, worn }, 0.4);
      return ['1/2 in', '12.5 mm'].map((name) => r.ranked.find((c) => c.name.startsWith(name))!.probability);
    };
    const [even, uneven, unread] = [shares(0.01), shares(0.15), shares(undefined)];
    expect(even[0]! / even[1]!).toBeLessThan((0.2 * uneven[0]!) / uneven[1]!);
    expect(uneven[0]! / uneven[1]!).toBeGreaterThan((0.7 * unread[0]!) / unread[1]!);
    expect(even[0]).toBeLessThan(0.75);
  });

  it('never says of what is 95 in 100 likely that it cannot be told apart', () => {
    let seen = 0;
    for (let i = 0; i < 400; i++) {
      const r = recoverNominal({ side: 'outside', land: null, worn: { sizeMm: 10 + i * 0.11, uMm: 0.004 } });
      if (r.ranked[0]!.probability < 0.95) continue;
      seen++;
      expect(r.note).not.toContain('apart');
      expect(r.canTell).toBe(false);
    }
    expect(seen).toBeGreaterThan(0);
  });

  it('counts as wear only what lies beyond the band that it was made to', () => {
    // 40 f7 is 39.950 to 39.975 (ISO 286-2).
    const said = (worn: number): string =>
      recoverNominal({
        side: 'outside',
        use: 'running',
        land: { sizeMm: 39.96, uMm: 0.002 },
        worn: { sizeMm: worn, uMm: 0.002 },
      })
        .ranked.find((r) => r.sizeMm === 40 && r.unit === 'mm')!
        .reasons.join('; ');
    expect(said(39.9)).toContain('means at least 0.050 mm of wear');
    expect(said(39.955)).toContain('its least worn place is still within f7');
    expect(said(39.99)).toContain('worn place stands 0.015 mm on the wrong side');
  });

  it('tells wear in the unit of the reader, whatever the candidate', () => {
    const place = { id: 'it', twinIds: [], side: 'outside', use: 'running', land: null, worn: { sizeMm: 12.5, uMm: 0.002 } } as const;
    const inch = (reader: 'mm' | 'in'): string =>
      recoverNominals([place], 0.5, [], reader)
        .byPlace.get('it')!
        .ranked.find((r) => r.unit === 'in' && r.sizeMm === 12.7)!.reasons[0]!;
    // Bright bar of 1/2 in is 0.494 to 0.496 in.
    expect(inch('mm')).toBe('means at least 0.048 mm of wear');
    expect(inch('in')).toBe('means at least 0.0019 in of wear');
  });

  it('looks for an unworn place no smaller than the shaft reads where it did run', () => {
    for (const worn of [12.62, 12.66, 12.69, 12.7]) {
      const { deciding } = recoverNominal({ side: 'outside', use: 'any', land: null, worn: { sizeMm: worn, uMm: 0.001 } }, 0.9);
      expect(deciding!.ifFirstMm).toBeGreaterThanOrEqual(worn);
    }
    const hole = recoverNominal({ side: 'inside', use: 'any', land: null, worn: { sizeMm: 12.71, uMm: 0.001 } }, 0.9);
    expect(hole.deciding!.ifFirstMm).toBeLessThanOrEqual(12.71);
  });

  it('gives probabilities that sum to one, and none without evidence', () => {
    const r = recoverNominal({ side: 'inside', land: null, worn: { sizeMm: 40.16, uMm: 0.008 } });
    expect(r.ranked.reduce((s, x) => s + x.probability, r.none)).toBeCloseTo(1, 9);
    expect(recoverNominal({ side: 'inside', land: null, worn: null }).ranked).toEqual([]);
  });
});

it('weighs eighths over sixty-fourths and whole over half millimetres', () => {
  const weight = (name: string): number => candidatesBetween(18, 21).find((c) => c.name === name)!.weight;
  expect(weight('3/4 in')).toBeGreaterThan(weight('49/64 in'));
  expect(weight('20 mm')).toBeGreaterThan(weight('19.5 mm'));
});

it('integrates the density of wear to one, tail and all', () => {
  let sum = 0;
  for (let x = -1; x < 4; x += 0.0005) sum += wearDensity(x, 0.01, 0.15) * 0.0005;
  expect(sum).toBeCloseTo(1, 3);
  expect(wearDensity(-3, 0.01, 0.15)).toBeLessThan(1e-100);
});

describe('a whole machine', () => {
  const land = (id: string, sizeMm: number, more = {}) => ({
    id,
    side: 'outside' as const,
    land: { sizeMm, uMm: 0.002 },
    worn: null,
    twinIds: [],
    ...more,
  });
  const share = (r: ReturnType<typeof recoverNominals>, id: string, name: string): number =>
    r.byPlace.get(id)!.ranked.find((x) => x.name.startsWith(name))?.probability ?? 0;

  it('shares its belief: what 19.04 mm was depends on what else is on the machine', () => {
    const unclear = land('it', 19.0);
    const inch = recoverNominals([unclear, land('a', 12.67), land('b', 31.72), land('c', 9.5)], 0.5);
    const metric = recoverNominals([unclear, land('a', 11.98), land('b', 29.97), land('c', 39.96)], 0.5);
    expect(inch.inch).toBeGreaterThan(0.95);
    expect(metric.inch).toBeLessThan(0.05);
    expect(share(inch, 'it', '3/4 in')).toBeGreaterThan(0.5);
    expect(share(metric, 'it', '19 mm')).toBeGreaterThan(0.5);
    expect(inch.byPlace.get('it')!.ranked[0]!.reasons.join()).toContain('speak for inch');
  });

  it('takes the size of a worn hole from the unworn land of its pin', () => {
    const places = [
      land('pin', 39.97, { twinIds: ['hole'] }),
      { id: 'hole', side: 'inside' as const, land: null, worn: { sizeMm: 40.41, uMm: 0.008 }, twinIds: ['pin'] },
    ];
    const hole = recoverNominals(places, 0.5).byPlace.get('hole')!;
    expect(hole.ranked[0]!.sizeMm).toBe(40);
    expect(hole.canTell).toBe(true);
    expect(hole.note).toContain('belongs to it');
    expect(recoverNominals([places[1]!], 0.5).byPlace.get('hole')!.canTell).toBe(false);
  });

  it('a land that only lies near in size speaks for a place, and never tells', () => {
    const worn = { id: 'worn', side: 'outside' as const, land: null, worn: { sizeMm: 39.7, uMm: 0.004 }, twinIds: [] };
    const beside = land('beside', 39.97);
    const alone = recoverNominals([worn, beside], 0.5).byPlace.get('worn')!;
    const near = recoverNominals([{ ...worn, nearIds: ['beside'] }, beside], 0.5).byPlace.get('worn')!;
    const told = recoverNominals(
      [
        { ...worn, twinIds: ['beside'] },
        { ...beside, twinIds: ['worn'] },
      ],
      0.5,
    ).byPlace.get('worn')!;
    const of40 = (r: typeof near): number => r.ranked.find((x) => x.sizeMm === 40)!.probability;
    expect(of40(near)).toBeGreaterThan(of40(alone));
    expect(of40(told)).toBeGreaterThan(of40(near));
    expect([alone.canTell, near.canTell, told.canTell]).toEqual([false, false, true]);
    expect(near.note).toContain('say so at Strip');
  });

  it('takes bearing bores for a seat, and thread majors for a thread', () => {
    const seat = recoverNominal({ side: 'outside', use: 'seat', land: { sizeMm: 17.004, uMm: 0.002 }, worn: null });
    expect(seat.ranked[0]!.name).toContain('17 mm');
    expect(seat.ranked[0]!.reasons.join()).toContain('a bearing bore');
    const thread = recoverNominal({ side: 'outside', use: 'thread', land: { sizeMm: 4.76, uMm: 0.002 }, worn: null });
    expect(thread.ranked[0]!.name).toMatch(/#10|0.19|4.82/);
  });

  it('says which single reading would decide, and what it should show for each', () => {
    const worn = recoverNominal({ side: 'outside', land: null, worn: { sizeMm: 24.35, uMm: 0.01 } });
    expect(worn.deciding).toMatchObject({ what: 'land', text: expect.stringContaining('never ran') });
    expect(worn.deciding!.ifFirstMm).not.toBeCloseTo(worn.deciding!.ifSecondMm, 1);
    expect(recoverNominal({ side: 'outside', land: { sizeMm: 39.975, uMm: 0.003 }, worn: null }).deciding).toBeNull();
  });
});

describe('100 worn machines made by a seeded die: inch, metric and mixed', () => {
  const score = machineScore(100);

  it('have the right original size first wherever a land is left, in at least 90', () => {
    expect(score.machines).toBe(100);
    expect(score.right).toBeGreaterThanOrEqual(90);
  });

  it('without any land the app says that it cannot tell', () => {
    expect(score.landless).toBe(100);
    expect(score.admitted).toBe(100);
  });
});

describe('a stated probability', () => {
  // Seeds that no weight was ever set by.
  it.each([
    ['with a land', true, false],
    ['of a place without one, where how it wore is anybody’s guess,', false, false],
    ['with a land, where three stations show how even the worn place is,', true, true],
    ['without one, where three stations show how even it is,', false, true],
  ] as const)('%s holds within a twentieth in every bucket', (_, withLand, stations) => {
    for (const b of probabilityBuckets(withLand, 2000, 910_001, stations)) {
      expect(b.n).toBeGreaterThan(200);
      expect(Math.abs(b.was - b.said)).toBeLessThanOrEqual(0.05);
    }
  });
});

describe('what is called told', () => {
  it('is right in 95 of 100', () => {
    let [told, right] = [0, 0];
    for (let seed = 1; seed <= 250; seed++) {
      const { places, truthMm } = wornMachine(seed, true);
      const found = recoverNominals(places, 0.5).byPlace;
      for (const f of places) {
        const r = found.get(f.id)!;
        if (!r.canTell) continue;
        told++;
        if (Math.abs(r.ranked[0]!.sizeMm - truthMm.get(f.id)!) < 1e-6) right++;
      }
    }
    expect(told).toBeGreaterThan(200);
    expect(right / told).toBeGreaterThanOrEqual(0.95);
  });

  it('is hardly ever a size that is in no list: a regrind, a quarter millimetre, a maker’s own decimal', () => {
    const uniform = seededRandom(77);
    const normal = normalDraws(uniform);
    let told = 0;
    const sizes = 300;
    for (let i = 0; i < sizes; i++) {
      const sizeMm = 15 + 45 * uniform();
      const r = recoverNominal({ side: 'outside', land: { sizeMm: sizeMm + 0.003 * normal(), uMm: 0.003 }, worn: null });
      if (r.canTell) told++;
    }
    expect(told / sizes).toBeLessThanOrEqual(0.1);
  });

  it('names none of the listed sizes where none fits', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 37.12, uMm: 0.002 }, worn: null });
    expect(r.none).toBeGreaterThan(0.5);
    expect(r.note).toContain('None of the listed sizes');
  });

  it('hears a thread: its pitch tells inch from metric for the whole machine', () => {
    const unclear = [{ id: 'it', side: 'outside' as const, land: { sizeMm: 19.0, uMm: 0.002 }, worn: null, twinIds: [] }];
    const belief = (unit: 'in' | 'mm'): number => recoverNominals(unclear, 0.5, [{ unit, times: 12 }]).inch;
    expect(belief('in')).toBeGreaterThan(0.9 * recoverNominals(unclear, 0.5).inch);
    expect(belief('in')).toBeGreaterThan(belief('mm') + 0.3);
  });
});
