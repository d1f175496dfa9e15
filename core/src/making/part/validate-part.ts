import { good, type Outcome, type Problem } from '../../terms/outcome';
import { materialOf } from '../../book/materials';
import { partLengthMm, placeSegments, type PlacedSegment, type TurnedPart } from './turned-part';

/** Least wall left beside a bore, mm: thinner springs in the chuck. */
export const LEAST_WALL_MM = 1;
export const MOST_DIAMETER_MM = 500;
export const MOST_PART_LENGTH_MM = 3000;

type Say = (path: string, code: string, message: string) => void;

function checkSegment(s: PlacedSegment, i: number, say: Say): void {
  const at = `segments.${i}`;
  if (!(s.diameterMm > 0 && s.diameterMm <= MOST_DIAMETER_MM))
    say(`${at}.diameterMm`, 'diameter', `${s.name || 'A segment'} needs a diameter between 0 and ${MOST_DIAMETER_MM} mm.`);
  if (!(s.lengthMm > 0 && s.lengthMm <= MOST_PART_LENGTH_MM))
    say(`${at}.lengthMm`, 'length', `${s.name || 'A segment'} needs a length between 0 and ${MOST_PART_LENGTH_MM} mm.`);
  if (s.chamferLeftMm < 0 || s.chamferRightMm < 0) say(`${at}.chamferLeftMm`, 'chamfer', 'A chamfer cannot be below zero.');
  else if (s.chamferLeftMm + s.chamferRightMm > s.lengthMm)
    say(`${at}.chamferLeftMm`, 'chamfer', `The chamfers on ${s.name} are longer together than the segment itself.`);
  else if (Math.max(s.chamferLeftMm, s.chamferRightMm) * 2 >= s.diameterMm)
    say(`${at}.chamferLeftMm`, 'chamfer', `The chamfer on ${s.name} would cut past the centre line.`);
}

function checkHoles(part: TurnedPart, placed: readonly PlacedSegment[], say: Say): void {
  part.crossHoles.forEach((hole, i) => {
    const at = `crossHoles.${i}`;
    const inside = placed.find((s) => hole.atMm - hole.diameterMm / 2 >= s.fromMm && hole.atMm + hole.diameterMm / 2 <= s.toMm);
    if (!(hole.diameterMm > 0)) say(`${at}.diameterMm`, 'diameter', 'A cross hole needs a diameter above zero.');
    else if (!inside) say(`${at}.atMm`, 'off-part', `The cross hole at ${hole.atMm} mm does not lie wholly on one segment.`);
    else if (hole.diameterMm > inside.diameterMm / 2)
      say(
        `${at}.diameterMm`,
        'too-big',
        `A ${hole.diameterMm} mm hole takes more than half of the ${inside.diameterMm.toFixed(2)} mm section.`,
      );
  });
}

function checkBore(part: TurnedPart, placed: readonly PlacedSegment[], say: Say): void {
  const { bore } = part;
  if (!bore) return;
  if (!(bore.diameterMm > 0)) say('bore.diameterMm', 'diameter', 'The bore needs a diameter above zero.');
  const depth = bore.depthMm ?? partLengthMm(part);
  if (!(depth > 0 && depth <= partLengthMm(part))) say('bore.depthMm', 'depth', 'The bore is deeper than the part is long.');
  const thin = placed.find((s) => s.fromMm < depth && (s.diameterMm - bore.diameterMm) / 2 < LEAST_WALL_MM);
  if (thin) say('bore.diameterMm', 'thin-wall', `The bore leaves less than ${LEAST_WALL_MM} mm of wall under ${thin.name}.`);
}

/** Checks a part that somebody drew. All problems at once, each with its path. */
export function validatePart(part: TurnedPart): Outcome<TurnedPart> {
  const problems: Problem[] = [];
  const say: Say = (path, code, message) => problems.push({ path, code, message });
  const placed = placeSegments(part);
  if (part.segments.length === 0) say('segments', 'empty', 'A part needs at least one cylinder.');
  if (!materialOf(part.materialId)) say('materialId', 'material', 'Choose a material.');
  placed.forEach((s, i) => checkSegment(s, i, say));
  part.segments.forEach((s, i) => {
    if (s.kind === 'head' && i !== 0 && i !== part.segments.length - 1)
      say(`segments.${i}.kind`, 'head', 'A head stands at one end of the part.');
  });
  checkHoles(part, placed, say);
  checkBore(part, placed, say);
  return problems.length ? { ok: false, problems } : good(part);
}
