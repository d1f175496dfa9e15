export { choicesOf } from './choice-queries';
export { mountChoices } from './choice-routes';
