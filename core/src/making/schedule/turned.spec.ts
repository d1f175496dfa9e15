import { placeOutside, surface } from '../part';
import { halfAngleRad, perScaleMm, setOverMm, taperSchedule } from './turned';

const DEG = 180 / Math.PI;
const taper = (largeMm: number, smallMm: number, lengthMm: number) =>
  placeOutside({
    outside: [{ ...surface('t', 'taper', 'Taper', lengthMm, largeMm), farDiameterMm: smallMm }],
  })[0]!;

it('a Morse taper number 2, 0.59941 in a foot, is turned at 1° 25′ 50″', () => {
  expect(halfAngleRad(1 + 0.59941, 1, 12) * DEG).toBeCloseTo(1 + 25 / 60 + 50 / 3600, 3);
});

it('1 in 50 of a taper pin over 100 mm is set over by 2 mm between centres 200 mm apart', () => {
  expect(setOverMm(10, 8, 100, 200)).toBeCloseTo(2, 12);
});

it('says compound, set-over and 1 to what; from the small end the same', () => {
  const values = (s: ReturnType<typeof taper>) =>
    Object.fromEntries(taperSchedule(s, 200, 'mm')!.settings.map((x) => [x.figure.key.split('.').at(-1)!, x.figure.value]));
  expect(values(taper(30, 28, 100))).toMatchObject({ 'set-over': expect.closeTo(2, 9), one: expect.closeTo(50, 9) });
  expect(values(taper(28, 30, 100))).toEqual(values(taper(30, 28, 100)));
});

it('a straight surface has none', () => expect(taperSchedule(taper(30, 30, 100), 200, 'mm')).toBeNull());

it('a taper attachment is set by the foot or by 100 mm, whatever the length of the taper', () => {
  // Morse 2 is 0.59941 in to the foot: over 2 1/2 in of it as well.
  expect(perScaleMm(17.78, 17.78 - (0.59941 * 25.4 * 2.5) / 12, 63.5, 'in') / 25.4).toBeCloseTo(0.59941, 9);
  // 1 in 50 of a taper pin is 2 in 100.
  expect(perScaleMm(10, 9.4, 30, 'mm')).toBeCloseTo(2, 9);
  const labels = (unit: 'in' | 'mm') =>
    taperSchedule(taper(30, 28, 100), 200, unit)!
      .settings.map((x) => x.figure.label)
      .join();
  expect([labels('in'), labels('mm')]).toEqual([expect.stringContaining('by the foot'), expect.stringContaining('by 100 mm')]);
});
