export { CautionNote } from './caution';
export { NamedDialog } from './named-dialog';
export { FigureButton } from './figure';
export { LengthPipe } from './length-pipe';
