export { plus, minus, sumOf, workedOut, ruled, tabled, typed, type Figure, type Measure, type Origin, type Term } from './figure';
export { explain, sentence, showValue, DEEPEST_LEVEL, type WorkingLine } from './explain';
