export { splitPinFor, splitPinShank, TAPER_PINS, taperPinEnds, taperPinWornFrom, nextTaperPins, type TaperPin } from './pins';
export {
  CLEVIS_PINS,
  DOWEL_INCH_OVER,
  DOWELS_INCH,
  DOWELS_MM,
  PIN_SOURCES,
  SPLIT_PINS,
  SPRING_PINS_INCH,
  SPRING_PINS_MM,
} from './pins.data';
