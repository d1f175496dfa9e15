export { asksOf, type Ask } from './asks';
export { optionsOf } from './answer';
export { addedBore, addedFeature, addedSurface, byWords, copied, deepened, type Added, type ByWords } from './adding';
export { removed, withoutBore } from './removed';
export { entry, type Entry } from './entry';
export { outsideCuts } from './cut-span';
export { drawingDoubts, type DrawingDoubt } from './doubts';
export { drawingChanges } from './changes';
