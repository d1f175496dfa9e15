import { milling } from './cutting/milling';
import { boringBar } from './cutting/boring-bar';
import { plunge } from './cutting/plunge';
import { ringRoom } from './joints/ring-room';
import { edgeFinding } from './layout/edge-finding';
import { reamLadder } from './cutting/ream-ladder';
import { upset } from './stock/upset';
import { ringGap } from './joints/ring-gap';
import { cylinderForce } from './stock/cylinder-force';
import { finish } from './cutting/finish';
import { oddTeeth } from './cutting/odd-teeth';
import { tilt } from './layout/tilt';
import { threePoints } from './layout/three-points';
import { sineBar } from './layout/sine-bar';
import { speeds } from './cutting/speeds';
import { turningTime } from './cutting/turning-time';
import { bearingSeat } from './fits/bearing-seat';
import { clearance } from './fits/clearance';
import { convert } from './fits/convert';
import { layers } from './fits/layers';
import { pressForce } from './fits/press-force';
import { backlash } from './fits/backlash';
import { shims } from './fits/shims';
import { temperature } from './fits/temperature';
import { whichFit } from './fits/which-fit';
import { key } from './joints/key';
import { oring } from './joints/oring';
import { ringGroove } from './joints/ring-groove';
import { taperPin } from './joints/taper-pin';
import { woodruff } from './joints/woodruff';
import { boltCircle } from './layout/bolt-circle';
import { chord } from './layout/chord';
import { crossHole } from './layout/cross-hole';
import { eccentric } from './layout/eccentric';
import { dividing } from './layout/dividing';
import { flats } from './layout/flats';
import { taper } from './layout/taper';
import { mass } from './stock/mass';
import { offcuts } from './stock/offcuts';
import { pressure } from './stock/pressure';
import { whichMetalSum } from './stock/which-metal';
import type { Sum } from './sum';
import { changeWheelsSum } from './threads/change-wheels';
import { singlePointSum } from './threads/single-point';
import { tapDrill } from './threads/tap-drill';
import { threadBushSum } from './threads/thread-bush';
import { threadFinder } from './threads/thread-finder';
import { wires } from './threads/wires';

/** Every bench calculation, by group in the order they are reached for. */
export const SUMS: readonly Sum[] = [
  convert,
  clearance,
  whichFit,
  bearingSeat,
  pressForce,
  layers,
  temperature,
  shims,
  backlash,
  threadFinder,
  tapDrill,
  wires,
  singlePointSum,
  changeWheelsSum,
  threadBushSum,
  key,
  woodruff,
  ringGroove,
  ringRoom,
  oring,
  ringGap,
  taperPin,
  flats,
  dividing,
  edgeFinding,
  crossHole,
  eccentric,
  boltCircle,
  taper,
  chord,
  threePoints,
  sineBar,
  tilt,
  speeds,
  turningTime,
  milling,
  plunge,
  boringBar,
  finish,
  oddTeeth,
  reamLadder,
  whichMetalSum,
  mass,
  offcuts,
  pressure,
  cylinderForce,
  upset,
];

/** The sum of that id; undefined where there is none. */
export const sumOfId = (id: string): Sum | undefined => SUMS.find((s) => s.id === id);
