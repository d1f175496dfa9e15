import { minus, plus, ruled, sumOf, workedOut, type Figure } from './figure';
import { DEEPEST_LEVEL, explain, sentence, showValue } from './explain';

const reading: Figure = {
  key: 'r1',
  label: 'reading',
  measure: 'length',
  value: 19.02714,
  origin: { kind: 'reading', text: '.7491', instrument: 'outside mic', by: 'Tomas Quill', at: '2026-11-20' },
};
const bore = workedOut('bore', 'smallest bore', 19.02714, 'the smallest reading', [reading]);
const clearance = ruled('c', 'running clearance', 0.0793, 'house rule grease: 0.0020 in + 0.0015 per in');
const pin = sumOf('pin', 'pin', [plus(bore), minus(clearance)], { note: 'at 20 °C' });

it('adds its terms, so that the value cannot disagree with the chain', () => {
  expect(pin.value).toBeCloseTo(18.94784, 9);
});

it('tells a sum as a sentence in the unit of the reader', () => {
  expect(sentence(pin, 'in')).toBe(
    '0.7460 in = smallest bore 0.7491 - running clearance 0.0031 (house rule grease: 0.0020 in + 0.0015 per in), at 20 °C',
  );
  expect(sentence(pin, 'mm')).toContain('18.948 mm = smallest bore 19.027 - running clearance 0.079');
});

it('goes back to the text that was typed', () => {
  const lines = explain(pin, 'in');
  expect(lines.map((l) => [l.level, l.figure.key])).toEqual([
    [0, 'pin'],
    [1, 'bore'],
    [2, 'r1'],
    [1, 'c'],
  ]);
  expect(lines[2]!.text).toBe('0.7491 in = read as ".7491" with outside mic by Tomas Quill, 2026-11-20');
});

it('stops telling at a depth and never runs away', () => {
  let deep: Figure = reading;
  for (let i = 0; i < 40; i++) deep = workedOut(`w${i}`, 'step', 1, 'from the one before', [deep]);
  expect(explain(deep, 'mm')).toHaveLength(DEEPEST_LEVEL + 1);
});

it('shows each measure with its unit', () => {
  expect(showValue({ ...clearance, measure: 'rpm', value: 172.6 }, 'mm')).toBe('173 rpm');
  expect(showValue({ ...clearance, measure: 'mass', value: 1.2345 }, 'in')).toBe('1.234 kg');
  expect(showValue({ ...clearance, measure: 'probability', value: 0.923 }, 'in')).toBe('92 %');
});

it.each([
  // NIST SP 811: 1 kN is 224.809 lbf, 100 MPa 14.5038 ksi.
  ['force', 1000, '225 lbf', '1.00 kN'],
  ['stress', 100, '14.5 ksi', '100 MPa'],
  ['stress', 1, '145 psi', '1.00 MPa'],
  ['torque', 100, '73.8 lbf·ft', '100 Nm'],
] as const)('a %s of %d reads %s in an inch job and %s in a metric one', (measure, value, inch, mm) => {
  const figure = workedOut('f', 'f', value, 'told', [], { measure });
  expect([showValue(figure, 'in'), showValue(figure, 'mm')]).toEqual([inch, mm]);
});
