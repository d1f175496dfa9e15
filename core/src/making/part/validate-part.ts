import { aLength } from '../../terms/quantity';
import { keeper } from '../../terms/kept';
import { good, type Outcome, type Problem } from '../../terms/outcome';
import { inSentence } from '../../terms/words';
import { materialOf } from '../../book/materials';
import { blockProblems } from './block';
import type { FieldSpec } from './feature-kind';
import { fieldProblem } from './field-problem';
import { fieldsOf, kindOf, type PartFeature } from './features';
import { hostOf, placed, radiusAt } from './host';
import { partLengthMm, type Part } from './part';
import { MOST_DIAMETER_MM, MOST_PART_LENGTH_MM, type PlacedSurface, type Surface } from './surface';

/** Least wall left beside a bore, mm: thinner springs in the chuck. */
const LEAST_WALL_MM = 1;

type Say = (path: string, code: string, message: string) => void;

function checkSurface(s: Surface, path: string, lengthIsGiven: boolean, say: Say): void {
  const named = s.name || 'A surface';
  const size = (mm: number): boolean => mm > 0 && mm <= MOST_DIAMETER_MM;
  if (!size(s.diameterMm)) say(`${path}.diameterMm`, 'diameter', `${named} needs a diameter between 0 and ${aLength(MOST_DIAMETER_MM)}.`);
  if (s.kind === 'taper' && !(s.farDiameterMm !== null && size(s.farDiameterMm)))
    say(`${path}.farDiameterMm`, 'diameter', `${named} is a taper: say the diameter of its other end.`);
  if (s.kind !== 'taper' && s.farDiameterMm !== null)
    say(`${path}.farDiameterMm`, 'diameter', `${named} is no taper: it has one diameter.`);
  if (lengthIsGiven && !(s.lengthMm > 0 && s.lengthMm <= MOST_PART_LENGTH_MM))
    say(`${path}.lengthMm`, 'length', `${named} needs a length between 0 and ${aLength(MOST_PART_LENGTH_MM)}.`);
}

function checkBores(part: Part, say: Say): void {
  const { outside, bores } = placed(part);
  const length = partLengthMm(part);
  for (const end of ['near', 'far'] as const)
    if (part.bores.filter((b) => b.from === end).length > 1)
      say('bores', 'twice', `Two bores begin at the ${end} end: make them one, step by step.`);
  if (part.bores.filter((b) => b.through).length > 1) say('bores', 'twice', 'Only one bore can go through.');
  part.bores.forEach((_, i) => {
    const rows = bores[i]!;
    if (!rows.length) say(`bores.${i}.surfaces`, 'empty', 'A bore needs at least one diameter.');
    rows.forEach((s, j) => {
      const at = `bores.${i}.surfaces.${j}`;
      if (!(s.lengthMm > 0) || s.toMm > length + 1e-6 || s.fromMm < -1e-6)
        return say(`${at}.lengthMm`, 'depth', 'The bore is deeper than the part is long.');
      const thin = thinWall(s, outside);
      if (thin) say(`${at}.diameterMm`, 'thin-wall', `The bore leaves less than ${aLength(LEAST_WALL_MM)} of wall under ${thin.name}.`);
    });
  });
  const [near, far] = ['near', 'far'].map((end) => bores[part.bores.findIndex((b) => b.from === end)] ?? []);
  const deepest = Math.max(0, ...near!.map((s) => s.toMm));
  if (far!.some((s) => s.fromMm < deepest - 1e-6))
    say('bores', 'meet', 'The bores of both ends run into each other: let one of them go through.');
}

/** The outside surface over which a bore leaves too little, if any: looked at at every end that either has. */
function thinWall(s: PlacedSurface, outside: readonly PlacedSurface[]): PlacedSurface | undefined {
  return outside.find((o) => {
    const [from, to] = [Math.max(o.fromMm, s.fromMm), Math.min(o.toMm, s.toMm)];
    return to - from > 1e-9 && [from, to].some((x) => radiusAt(o, x) - radiusAt(s, x) < LEAST_WALL_MM);
  });
}

/** Why a thing that a feature names will not do; null where it will, and where it names none. */
function namedProblem(part: Part, f: PartFeature, spec: FieldSpec, id: unknown): string | null {
  const other = part.features.find((o) => o.id === id && o.id !== f.id);
  switch (spec.kind) {
    case 'timed':
      return id === '' || (other && 'clockDeg' in other) ? null : 'what it is timed to is gone.';
    case 'feature':
      return id === '' || (other && other.kind !== 'relation') ? null : 'what it is of is gone.';
    case 'surface':
      return hostOf(part, String(id)) ? null : id === '' ? 'choose a surface.' : 'the surface that it is true to is gone.';
    default:
      return null;
  }
}

function checkFeature(part: Part, f: PartFeature, i: number, say: Say): void {
  const kind = kindOf(f.kind);
  const path = `features.${i}`;
  const host = hostOf(part, f.on);
  if (!host) return say(`${path}.on`, 'gone', `${f.name || kind.name}: the surface that it was on is gone.`);
  if (!kind.sides.includes(host.surface.side))
    return say(`${path}.on`, 'side', `${kind.name}: not ${host.surface.side === 'inside' ? 'in a bore' : 'on the outside'}.`);
  const told = Object.entries(fieldsOf(f.kind)).flatMap(([field, spec]) => {
    const message = fieldProblem(spec, (f as unknown as Readonly<Record<string, unknown>>)[field]);
    return message ? [{ field, message }] : [];
  });
  for (const p of told.length ? told : kind.check(f, host)) say(`${path}.${p.field}`, 'feature', p.message);
  if (told.length) return;
  for (const [field, spec] of Object.entries(fieldsOf(f.kind))) {
    const message = namedProblem(part, f, spec, (f as unknown as Readonly<Record<string, unknown>>)[field]);
    if (message) say(`${path}.${field}`, 'gone', `${f.name || kind.name}: ${message}`);
  }
}

/** Turned features of one surface that lie over each other: their contours would not hang together. */
function checkOverlaps(part: Part, say: Say): void {
  const spans = part.features.flatMap((f, i) => {
    const host = hostOf(part, f.on);
    const cut = host ? kindOf(f.kind).cut(f, host) : null;
    return cut?.shape === 'turned' ? [{ f, i, from: cut.contour[0]!.x, to: cut.contour.at(-1)!.x }] : [];
  });
  for (const a of spans)
    for (const b of spans)
      if (a.i < b.i && a.f.on === b.f.on && Math.min(a.to, b.to) - Math.max(a.from, b.from) > 1e-6)
        say(`features.${b.i}.on`, 'overlap', `${b.f.name} and ${inSentence(a.f.name)} lie over each other.`);
}

/** A surface gets its size once. */
function checkTreatments({ features }: Part, say: Say): void {
  features.forEach((f, i) => {
    const first = features.find((o) => o.kind === 'treatment' && o.on === f.on);
    if (f.kind === 'treatment' && first !== f)
      say(`features.${i}.process`, 'twice', `${f.name}: ${inSentence(first!.name)} gives this surface its size already.`);
  });
}

const keepChecked = keeper<Part, Outcome<Part>>();

/** Checks a part that somebody drew, once. All problems at once, each with its path. */
export const validatePart = (part: Part): Outcome<Part> => keepChecked(part, [], () => checkedPart(part));

function checkedPart(part: Part): Outcome<Part> {
  const problems: Problem[] = [];
  const say: Say = (path, code, message) => problems.push({ path, code, message });
  if (!materialOf(part.materialId)) say('materialId', 'material', 'Choose a material.');
  if (part.block) {
    if (part.outside.length || part.bores.length || part.features.length)
      say('block', 'mixed', 'A block is not turned: it has no cylinders.');
    problems.push(...blockProblems(part.block));
    return problems.length ? { ok: false, problems } : good(part);
  }
  if (part.outside.length === 0) say('outside', 'empty', 'A part needs at least one cylinder.');
  part.outside.forEach((s, i) => checkSurface(s, `outside.${i}`, true, say));
  part.bores.forEach((b, i) =>
    b.surfaces.forEach((s, j) => checkSurface(s, `bores.${i}.surfaces.${j}`, !(b.through && j === b.surfaces.length - 1), say)),
  );
  const ids = [...part.outside, ...part.bores.flatMap((b) => [b, ...b.surfaces]), ...part.features].map((x) => x.id);
  if (new Set(ids).size !== ids.length) say('outside', 'twice', 'Two things of the drawing have the same id.');
  part.outside.forEach((s, i) => {
    if (s.kind === 'head' && i !== 0 && i !== part.outside.length - 1)
      say(`outside.${i}.kind`, 'head', 'A head stands at one end of the part.');
  });
  // Where a size is no size, what lies on it cannot be judged.
  if (problems.length) return { ok: false, problems };
  checkBores(part, say);
  if (problems.length) return { ok: false, problems };
  part.features.forEach((f, i) => checkFeature(part, f, i, say));
  if (!problems.length) checkOverlaps(part, say);
  checkTreatments(part, say);
  return problems.length ? { ok: false, problems } : good(part);
}
