export { SheetStore, type Conflict, type Selection, type Undo } from './sheet-store';
