export { capital } from './capital';
export { inSentence } from './in-sentence';
export { countOf } from './count-of';
export { LANGUAGE } from './language';
export { havingWords } from './having-words';
