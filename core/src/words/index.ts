export { inSentence } from './in-sentence';
