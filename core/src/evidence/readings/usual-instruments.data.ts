import type { LengthUnit } from '../../terms/quantity';
import type { InstrumentKind } from './instruments.data';

/** An instrument as most shops have one, before its own record is known. */
export interface UsualInstrument {
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly unit: LengthUnit;
  readonly rangeLowMm: number;
  readonly rangeHighMm: number;
}

const IN = 25.4;
const of = (unit: LengthUnit, name: string, kind: InstrumentKind, low: number, high: number): UsualInstrument => {
  const each = unit === 'in' ? IN : 1;
  return { name, kind, unit, rangeLowMm: low * each, rangeHighMm: high * each };
};

const METRIC: readonly UsualInstrument[] = [
  of('mm', 'Caliper 150', 'caliper', 0, 150),
  of('mm', 'Outside mic 0 to 25', 'micrometer', 0, 25),
  of('mm', 'Outside mic 25 to 50', 'micrometer', 25, 50),
  of('mm', 'Outside mic 50 to 75', 'micrometer', 50, 75),
  of('mm', 'Outside mic 75 to 100', 'micrometer', 75, 100),
  of('mm', 'Telescoping gauges', 'telescoping-gauge', 8, 150),
  of('mm', 'Dial bore gauge 18 to 35', 'dial-bore-gauge', 18, 35),
  of('mm', 'Dial bore gauge 35 to 60', 'dial-bore-gauge', 35, 60),
  of('mm', 'Three-point bore head 20 to 50', 'bore-head', 20, 50),
  of('mm', 'Depth mic 0 to 100', 'depth-mic', 0, 100),
  of('mm', 'Dial indicator 0.01', 'indicator', 0, 10),
  of('mm', 'Steel rule 300', 'rule', 0, 300),
  of('mm', 'Steel rule 1000', 'rule', 0, 1000),
];
const INCH: readonly UsualInstrument[] = [
  of('in', 'Caliper 6 in', 'caliper', 0, 6),
  of('in', 'Outside mic 0 to 1 in', 'micrometer', 0, 1),
  of('in', 'Outside mic 1 to 2 in', 'micrometer', 1, 2),
  of('in', 'Outside mic 2 to 3 in', 'micrometer', 2, 3),
  of('in', 'Outside mic 3 to 4 in', 'micrometer', 3, 4),
  of('in', 'Telescoping gauges', 'telescoping-gauge', 0.3125, 6),
  of('in', 'Dial bore gauge 0.7 to 1.4 in', 'dial-bore-gauge', 0.7, 1.4),
  of('in', 'Dial bore gauge 1.4 to 2.4 in', 'dial-bore-gauge', 1.4, 2.4),
  of('in', 'Depth mic 0 to 4 in', 'depth-mic', 0, 4),
  of('in', 'Dial indicator 0.001', 'indicator', 0, 1),
  of('in', 'Steel rule 12 in', 'rule', 0, 12),
  of('in', 'Steel rule 36 in', 'rule', 0, 36),
];

/** Instruments to tick off, the shop's own unit first; what is the same in both stands once. */
export function usualInstruments(unit: LengthUnit): readonly UsualInstrument[] {
  const all = unit === 'in' ? [...INCH, ...METRIC] : [...METRIC, ...INCH];
  return all.filter((i, at) => all.findIndex((j) => j.name === i.name) === at);
}
