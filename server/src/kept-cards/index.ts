export { keptCard, type Kept, type KeptCard } from './kept-card';
