export type { TypedReading } from './foresight';
export { SheetStore } from './sheet-store';
export type { Conflict, Selection, Undo } from './sheet-state';
export { shareUnchanged } from './share-unchanged';
export { ReadQueue, type QueuedReading } from './read-queue';
