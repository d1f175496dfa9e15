export type { TypedReading } from './foresight';
export { SheetStore, type Conflict, type Selection, type Undo } from './sheet-store';
export { shareUnchanged } from './share-unchanged';
export { ReadQueue, type QueuedReading } from './read-queue';
