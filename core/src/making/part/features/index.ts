import type { FeatureBase, FeatureKind, FieldSpec } from '../feature-kind';
import { centreHole, type CentreHole } from './centre-hole';
import { chamfer, type Chamfer } from './chamfer';
import { crossHole, type CrossHole } from './cross-hole';
import { eccentric, type Eccentric } from './eccentric';
import { eccentricBore, type EccentricBore } from './eccentric-bore';
import { fillet, type Fillet } from './fillet';
import { flats, type Flats } from './flats';
import { hardness, type Hardness } from './hardness';
import { holePattern, type HolePattern } from './hole-pattern';
import { keyseat, type Keyseat } from './keyseat';
import { keyway, type Keyway } from './keyway';
import { knurl, type Knurl } from './knurl';
import { oilGroove, type OilGroove } from './oil-groove';
import { oringGroove, type OringGroove } from './oring-groove';
import { relation, type Relation } from './relation';
import { relief, type Relief } from './relief';
import { ringGroove, type RingGroove } from './ring-groove';
import { sealGroove, type SealGroove } from './seal-groove';
import { sealLand, type SealLand } from './seal-land';
import { slot, type Slot } from './slot';
import { spline, type Spline } from './spline';
import { surfaceFinish, type SurfaceFinish } from './surface-finish';
import { thread, type Thread } from './thread';
import { treatment, type Treatment } from './treatment';
import { undercut, type Undercut } from './undercut';
import { weldPrep, type WeldPrep } from './weld-prep';
import { woodruffSeat, type WoodruffSeat } from './woodruff-seat';

/** Anything that is cut into a part. A new kind is its file and its two lines here. */
export type PartFeature =
  | Chamfer
  | Fillet
  | Undercut
  | Relief
  | RingGroove
  | OringGroove
  | SealGroove
  | Keyseat
  | Keyway
  | WoodruffSeat
  | Thread
  | CentreHole
  | CrossHole
  | HolePattern
  | OilGroove
  | Flats
  | Slot
  | Eccentric
  | EccentricBore
  | SealLand
  | WeldPrep
  | Knurl
  | Spline
  | Relation
  | SurfaceFinish
  | Hardness
  | Treatment;

export type FeatureKindId = PartFeature['kind'];

/** Every kind with all that is asked of it: one that is missing does not compile. */
export const FEATURE_KINDS: { readonly [K in FeatureKindId]: FeatureKind<Extract<PartFeature, { kind: K }>> } = {
  chamfer,
  fillet,
  undercut,
  relief,
  'ring-groove': ringGroove,
  'oring-groove': oringGroove,
  'seal-groove': sealGroove,
  keyseat,
  keyway,
  'woodruff-seat': woodruffSeat,
  thread,
  'centre-hole': centreHole,
  'cross-hole': crossHole,
  'hole-pattern': holePattern,
  'oil-groove': oilGroove,
  flats,
  slot,
  eccentric,
  'eccentric-bore': eccentricBore,
  'seal-land': sealLand,
  'weld-prep': weldPrep,
  knurl,
  spline,
  relation,
  'surface-finish': surfaceFinish,
  hardness,
  treatment,
};

/** The kind of a feature, as one that takes any: which fields a kind has its own file says. */
export const kindOf = (id: FeatureKindId): FeatureKind<FeatureBase> => FEATURE_KINDS[id];

export type { Chamfer, CrossHole, Treatment };
export { aSide, isCutBackHere, processOf } from './treatment';
export { beforeLimits } from './before-treatment';
export { hardenedBy } from './hardness';
export { keyOf } from './keyseat';
export { turnedOn } from './end-on';
export { ringOf } from './ring-groove';

/** The fields of a kind by name, in the order in which they are asked for. */
export const fieldsOf = (id: FeatureKindId): Readonly<Record<string, FieldSpec>> => FEATURE_KINDS[id].fields;
