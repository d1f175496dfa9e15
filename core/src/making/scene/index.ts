export type { LineStyle, Primitive, Scene } from './scene';
export { featureLines, partLines, partSheet, type SheetWords } from './part-scene';
export { blockLines, blockSheet, cutLines, holeLetters, type BlockWords } from './block-scene';
export { boundsOf } from './bounds';
export { sceneSvg } from './svg';
export { sceneDxf } from './dxf';
