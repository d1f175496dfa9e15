import type { Option } from './choose-field';

/** The two units, as a choice. */
export const UNITS: readonly Option[] = [
  ['mm', 'mm'],
  ['in', 'in'],
];
