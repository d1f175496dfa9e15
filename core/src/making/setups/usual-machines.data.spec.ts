import { MM_PER_INCH } from '../../terms/quantity';
import { HOLDING_KINDS, lathesAmong, MACHINE_KINDS } from './machine';
import { HOLDING_WORDS, MACHINE_WORDS, usualMachines } from './usual-machines.data';

const whole = (x: number): boolean => Math.abs(x - Math.round(x)) < 1e-9;

describe.each(['mm', 'in'] as const)('machines to pick from in a shop that thinks in %s', (unit) => {
  const all = usualMachines(unit);
  const lathes = lathesAmong(all.map((m, i) => ({ ...m, id: `m${i}`, version: 1 })));

  it('are each called once, and each has a kind of the list', () => {
    expect(new Set(all.map((m) => m.name)).size).toBe(all.length);
    for (const { kind } of all) expect(MACHINE_KINDS).toContain(kind);
  });
  it('have sizes that are round numbers of that unit', () => {
    const per = unit === 'in' ? MM_PER_INCH : 1;
    const eighths = ({ lathe, mill, capacityMm }: (typeof all)[number]): number[] =>
      [lathe?.swingMm, lathe?.centresMm, mill?.longMm, mill?.crossMm, capacityMm].flatMap((mm) => (mm ? [(8 * mm) / per] : []));
    for (const m of all) for (const size of eighths(m)) expect([m.name, whole(size)]).toEqual([m.name, true]);
  });
  it('have dials of that unit whose turn is a whole number of lines', () => {
    const dials = [...lathes.flatMap((l) => [l.cross, l.carriage]), ...all.flatMap((m) => (m.mill ? [m.mill.dial] : []))];
    expect(dials).toHaveLength(5);
    for (const dial of dials) {
      expect(dial.unit).toBe(unit);
      expect(whole(dial.perTurn / dial.perLine)).toBe(true);
    }
  });
  it('have gears from slow to fast', () => {
    for (const rpm of [...lathes.map((l) => l.gearsRpm), ...all.flatMap((m) => (m.mill ? [m.mill.gearsRpm] : []))])
      expect([...rpm].sort((p, q) => p - q)).toEqual(rpm);
  });
});

it('the lathes among the machines are those with a lathe’s card, under the machine’s own id and name', () => {
  const machines = usualMachines('mm').map((m, i) => ({ ...m, id: `m${i}`, version: 1 }));
  expect(lathesAmong(machines).map(({ id, name, swingMm }) => [id, name, swingMm])).toEqual([
    ['m0', 'Engine lathe', 400],
    ['m1', 'Small bench lathe', 230],
  ]);
  expect(lathesAmong([])).toEqual([]);
});

it('every kind of machine and of holding has its words', () => {
  expect(Object.keys(MACHINE_WORDS)).toEqual([...MACHINE_KINDS]);
  expect(Object.keys(HOLDING_WORDS)).toEqual([...HOLDING_KINDS]);
});
