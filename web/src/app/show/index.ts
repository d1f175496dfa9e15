export { CautionNote } from './caution';
export { Field } from './field';
export { FigureButton } from './figure';
export { LengthInput } from './length-input';
export { LengthPipe } from './length-pipe';
export { StateMark } from './state-mark';
