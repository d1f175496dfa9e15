import { crossDialFor, type Machine } from '../../making/setups';
import { boredOn, dialOfBore } from './bored-on';
import { testShop } from './testing';

const lathe = testShop.lathes[0]!;
const card = { dial: { unit: 'mm', perTurn: 5, perLine: 0.02 }, readout: null, gearsRpm: [65, 575], longMm: 600, crossMm: 300 } as const;
const mill = (head?: object | null): Machine =>
  ({ id: 'm', name: 'Knee mill', kind: 'mill', mill: { ...card, head } }) as unknown as Machine;
/** What is turned to open a bore by 0.2 mm. */
const turn = (id: Parameters<typeof dialOfBore>[0], on: Machine | null): number => crossDialFor(0.2, dialOfBore(id, lathe, on));

it('the boring head of the mill tells its own dial, whichever it reads', () => {
  expect(turn('mill-head', mill({ unit: 'mm', perTurn: 1, perLine: 0.02, reads: 'diameter' }))).toBeCloseTo(0.2, 9);
  expect(turn('mill-head', mill({ unit: 'mm', perTurn: 1, perLine: 0.02, reads: 'radius' }))).toBeCloseTo(0.1, 9);
  expect(turn('mill-head', mill({ unit: 'in', perTurn: 0.05, perLine: 0.001, reads: 'diameter' }))).toBeCloseTo(0.2 / 25.4, 9);
});

it('a head that nobody has on record is told on the diameter, and that is said', () => {
  for (const on of [mill(), mill(null), null]) {
    expect(dialOfBore('mill-head', lathe, on).words).toContain('on the diameter');
    expect(dialOfBore('mill-head', lathe, on).cross.reads).toBe('diameter');
  }
  expect(turn('mill-head', mill())).toBeCloseTo(0.2, 9);
});

it('a tool in a bar between centres goes out by half; what the lathe turns is set by its cross slide', () => {
  // A bar on an inch lathe: half of 0.2 mm in inch.
  expect(turn('carriage-bar', null)).toBeCloseTo(0.1 / 25.4, 9);
  for (const id of ['jaws', 'faceplate'] as const) expect(dialOfBore(id, lathe, mill()).cross).toBe(lathe.cross);
});

it('turns on the mill’s speeds or the lathe’s, out of balance in the lowest gear, in the jaws no faster than they are stamped', () => {
  expect(boredOn('mill-head', lathe, mill())).toMatchObject({ gearsRpm: [65, 575], most: null });
  expect(boredOn('mill-head', lathe, null)).toBeNull();
  expect(boredOn('faceplate', lathe, null)!.most!.rpm).toBe(36);
  const stamped = { ...lathe, holdings: [{ kind: 'four-jaw' as const, runOutMm: null, mostRpm: 250 }] };
  expect(boredOn('jaws', stamped, null)!.most!.rpm).toBe(250);
  expect(boredOn('carriage-bar', lathe, null)).toMatchObject({ gearsRpm: lathe.gearsRpm, most: null });
  expect(boredOn('follow', lathe, mill())).toBeNull();
});
