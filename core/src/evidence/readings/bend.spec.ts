import { normalDraws, seededRandom } from '../proof';
import { fitBend, runOut } from './bend';

const rad = (deg: number): number => (deg * Math.PI) / 180;
const round = (n: number): number[] => Array.from({ length: n }, (_, i) => (i * 360) / n);

describe('a bent shaft', () => {
  const stations = [0, 100, 200, 300, 400];
  const bowed = (x: number): number => 0.2 * Math.sin((Math.PI * x) / 400);
  const map = (offset: (x: number) => number, plane = 30) =>
    stations.map((x) =>
      runOut(
        x,
        round(8).map((clockDeg) => ({ clockDeg, valueMm: offset(x) * Math.cos(rad(clockDeg - plane)) })),
        0.002,
      )!,
    );

  it('shows twice its bow, the plane, and the high spot', () => {
    const bend = fitBend(map(bowed), [])!;
    expect(bend.planeDeg).toBeCloseTo(30, 6);
    expect(bend.highAtMm).toBeCloseTo(200, 6);
    expect(bend.totalMm).toBeCloseTo(0.4, 9);
    expect(bend.inPlane).toBeCloseTo(1, 9);
  });

  it('tells how well its plane is known: 2 x scatter of a coordinate / root of the bows squared', () => {
    // Eight angles by 0.002 leave 0.001 a coordinate; bows 0, 0.1414, 0.2, 0.1414, 0 have squares of 0.08 in all.
    expect(fitBend(map(bowed), [])!.planePlusMinusDeg).toBeCloseTo(((2 * 0.001) / Math.sqrt(0.08) / Math.PI) * 180, 9);
    // A straight shaft has no plane.
    expect(
      fitBend(
        map(() => 0),
        [],
      )!.planePlusMinusDeg,
    ).toBe(180);
    const scattered = map(bowed).map((s, i) => ({ ...s, x: s.x + (i % 2 ? 0.05 : -0.05) }));
    expect(fitBend(scattered, [])!.planePlusMinusDeg).toBeGreaterThan(5);
  });

  it('on V-blocks is the bow that the indicator shows, wherever the blocks are said to stand', () => {
    // 0.018 total at 15 on blocks at 2 and 28, inch, as an indicator shows it.
    const inch = (x: number): number => x * 25.4;
    const shown = [5, 10, 15, 20, 25].map((x) => ({ at: inch(x), bow: inch(0.009) * Math.sin((Math.PI * (x - 2)) / 26) }));
    const rod = shown.map(({ at, bow }) =>
      runOut(
        at,
        round(8).map((clockDeg) => ({ clockDeg, valueMm: bow * Math.cos(rad(clockDeg - 90)) })),
        0.002,
      )!,
    );
    for (const blocks of [[2, 28], [0, 30], [5, 25], [9, 11], []])
      expect(fitBend(rod, blocks.map(inch))!.totalMm / 25.4).toBeCloseTo(0.018, 4);
  });

  it('widens its band where a kink could stand between two stations, and says where to read', () => {
    // Bent at one spot, 140 mm along, straight on both sides: 0.3 there, nothing at the ends.
    const kinked = (x: number): number => (x <= 140 ? (0.3 * x) / 140 : (0.3 * (400 - x)) / 260);
    const bend = fitBend(map(kinked))!;
    expect(bend.totalMm).toBeLessThan(0.6);
    expect(bend.totalMm + bend.plusMinusMm).toBeGreaterThanOrEqual(0.6 - 1e-9);
    expect(bend.readNextMm).toBeCloseTo(140, 6);
    // An even bow leaves no room for one worth reading.
    const even = fitBend(map((x) => 0.2 - 0.000005 * (x - 200) ** 2))!;
    expect(even.readNextMm).toBeNull();
    expect(even.plusMinusMm).toBeLessThan(0.06);
  });

  it('has its high spot between two stations, and needs three', () => {
    const bend = fitBend(
      map((x) => 0.2 - 0.000005 * (x - 160) ** 2),
      [],
    )!;
    expect(bend.highAtMm).toBeCloseTo(160, 6);
    expect(bend.bowMm).toBeCloseTo(0.2, 9);
    expect(fitBend(map(bowed).slice(0, 2), [])).toBeNull();
  });

  it('run-out keeps form apart from eccentricity', () => {
    const r = runOut(
      0,
      round(8).map((clockDeg) => ({ clockDeg, valueMm: 0.05 * Math.cos(rad(clockDeg)) + 0.01 * Math.cos(2 * rad(clockDeg)) })),
      0.002,
    )!;
    expect(r.fromEccentricMm).toBeCloseTo(0.1, 9);
    expect(r.formMm).toBeCloseTo(0.02, 9);
    expect(r.totalMm).toBeCloseTo(0.1, 2);
  });

  it('lies in its 95 % band in at least 93 of 100, by a seeded die', () => {
    const normal = normalDraws(seededRandom(7));
    let inside = 0;
    const trials = 400;
    for (let i = 0; i < trials; i++) {
      const noisy = stations.map((x) =>
        runOut(
          x,
          round(8).map((clockDeg) => ({ clockDeg, valueMm: bowed(x) * Math.cos(rad(clockDeg - 30)) + 0.01 * normal() })),
          0.01,
        )!,
      );
      const bend = fitBend(noisy)!;
      const off = Math.abs(((bend.planeDeg - 30 + 270) % 180) - 90);
      if (off <= bend.planePlusMinusDeg) inside++;
    }
    expect(inside / trials).toBeGreaterThanOrEqual(0.93);
  });
});
