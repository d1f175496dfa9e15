export { advise, learnShortfall, LEAST_CHIP_MM, type Advice, type CoachSettings, type CutRecord } from './coach';
