export { CautionNote } from './caution';
export { FigureButton } from './figure';
export { LengthPipe } from './length-pipe';
