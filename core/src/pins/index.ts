export { splitPinFor, TAPER_PINS, taperPinEnds, nextTaperPins, clevisSplitHole, type TaperPin } from './pins';
export { CLEVIS_PINS, DOWELS_MM, PIN_SOURCES, SPLIT_PINS, SPRING_PINS_MM } from './pins.data';
