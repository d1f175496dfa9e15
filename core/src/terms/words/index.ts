export { capital } from './capital';
export { inSentence } from './in-sentence';
export { countOf } from './count-of';
export { havingWords } from './having-words';
