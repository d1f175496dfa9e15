export { advise, learnShortfall, COOL_BEFORE_LAST_K, LEAST_CHIP_MM, type Advice, type CoachSettings, type CutRecord } from './coach';
