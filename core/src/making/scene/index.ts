export type { LineStyle, Primitive, Scene } from './scene';
export { featureLines, partLines, partSheet, type SheetWords } from './part-scene';
export { blockLines, blockSheet, cutLines, type BlockWords } from './block-scene';
export { bodyLines, boreLines } from './half-section';
export { boundsOf } from './bounds';
export { sceneSvg } from './svg';
export { sceneDxf } from './dxf';
