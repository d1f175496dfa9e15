export { CautionNote } from './caution';
export { Field } from './field';
export { FigureButton } from './figure';
export { LengthInput } from './length-input';
export { LengthPipe } from './length-pipe';
export { ChooseField, type Option } from './choose-field';
export { signedNumber } from './signed-number';
export { TextField } from './text-field';
export { MATERIAL_OPTIONS } from './material-options';
