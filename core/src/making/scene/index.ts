export type { LineStyle, Primitive, Scene } from './scene';
export { featureLines, partLines } from './part-scene';
export { partSheet, type SheetWords } from './turned-sheet';
export { inTrueSize, SHEET_MM, type Sheet } from './page';
export { blockLines, blockSheet, cutLines, holeLetters, type BlockWords } from './block-scene';
export { bodyLines, boreLines } from './half-section';
export { boundsOf } from './bounds';
export { sceneSvg } from './svg';
export { sceneDxf } from './dxf';
