export type { LineStyle, Primitive, Scene } from './scene';
export { featureLines, partLines, partSheet, type SheetWords } from './part-scene';
export { sceneSvg } from './svg';
export { sceneDxf } from './dxf';
