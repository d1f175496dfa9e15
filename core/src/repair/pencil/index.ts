export { clocksOfMany } from './clocks';
export { parsePencil, withoutPlace, type PencilGroup, type PencilLine } from './parse-pencil';
export { pencilPlace, type NewComponent, type NewPlace, type PencilPlace } from './pencil-place';
export { USUAL_PARTS, type UsualPart } from './usual-places.data';
