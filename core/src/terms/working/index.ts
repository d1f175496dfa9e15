export { plus, minus, sumOf, workedOut, ruled, tabled, typed, type Figure, type Measure, type Origin, type Term } from './figure';
export { explain, sentence, showForce, showValue, DEEPEST_LEVEL, MPA_PER_KSI, NM_PER_LBF_FT, N_PER_LBF, type WorkingLine } from './explain';
