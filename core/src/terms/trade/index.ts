export { wordsAt, type ExplainedWord } from './trade-words';
