export { ItemStrip } from './item-strip';
export { ItemSteps } from './item-steps';
export { PieceRow } from './piece-row';
