import { placeOutside, surface } from '../part';
import { halfAngleRad, setOverMm, taperSchedule } from './turned';

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
    Object.fromEntries(taperSchedule(s, 200)!.settings.map((x) => [x.figure.key.split('.').at(-1)!, x.figure.value]));
  expect(values(taper(30, 28, 100))).toMatchObject({ 'set-over': expect.closeTo(2, 9), one: expect.closeTo(50, 9) });
  expect(values(taper(28, 30, 100))).toEqual(values(taper(30, 28, 100)));
});

it('a straight surface has none', () => expect(taperSchedule(taper(30, 30, 100), 200)).toBeNull());
