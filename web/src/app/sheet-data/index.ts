export { seenFigures } from './seen';
export type { TypedReading } from './foresight';
export { SheetStore } from './sheet-store';
export type { Conflict, Selection } from './sheet-state';
export type { Undo, UndoStep } from './undo';
export { shareUnchanged } from './share-unchanged';
export { ReadQueue, type QueuedReading } from './read-queue';
export { DrawnEvidence } from './drawn-evidence';
export { HoldingShown } from './holding-shown';
