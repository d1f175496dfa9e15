import { MATERIALS } from '../materials';
import type { SumField } from './sum';

/** A length from nearly nothing to `toMm`. */
export const length = (id: string, label: string, startMm: number, toMm = 2000, fromMm = 0.001): SumField => ({
  kind: 'length',
  id,
  label,
  startMm,
  fromMm,
  toMm,
});

export const number = (id: string, label: string, unit: string, start: number, from: number, to: number): SumField => ({
  kind: 'number',
  id,
  label,
  unit,
  start,
  from,
  to,
});

export const whole = (id: string, label: string, start: number, from: number, to: number): SumField => ({
  kind: 'number',
  id,
  label,
  unit: '',
  start,
  from,
  to,
  whole: true,
});

export const choice = (id: string, label: string, options: readonly (readonly [string, string])[], start = options[0]![0]): SumField => ({
  kind: 'choice',
  id,
  label,
  options,
  start,
});

export const thread = (id: string, label: string, start: string): SumField => ({ kind: 'thread', id, label, start });

export const material = (id: string, label: string, start: string): SumField =>
  choice(
    id,
    label,
    MATERIALS.map((m) => [m.id, m.name] as const),
    start,
  );
