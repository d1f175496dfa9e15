export { CautionNote } from './caution';
export { NamedDialog } from './named-dialog';
export { FigureButton } from './figure';
export { LengthPipe } from './length-pipe';
export { ChartFrame, type ChartBox, type Tick } from './chart-frame';
export { ownWidth } from './own-width';
export { OnPaper } from './on-paper';
export { SortHead } from './sort-head';
export { NumbersBehind, type Numbers } from './numbers-behind';
