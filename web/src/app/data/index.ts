export { Api, ApiProblem, NoAnswer } from './api';
export { FloorStore } from './floor-store';
export { Live } from './live';
export { newId } from './new-id';
export { Outbox, type OutboxItem } from './outbox';
export { SessionStore } from './session-store';
export { SheetStore, type Conflict, type Selection, type Undo } from './sheet-store';
export { ShopStore } from './shop-store';
export { readStored, writeStored } from './stored';
