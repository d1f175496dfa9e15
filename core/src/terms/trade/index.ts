export { wordsAt, type ExplainedWord, type TradeWord } from './trade-words';
