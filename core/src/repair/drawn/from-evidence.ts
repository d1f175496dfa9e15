import { materialOf, UNKNOWN_MATERIAL } from '../../book/materials';
import { partLengthMm, validatePart, type Part } from '../../making/part';
import { inSentence } from '../../terms/words';
import { axisStartMm, drawnId, meanOf, originalSizeMm, type JobItem, type JobSheet, type PlaceFinding } from '../job';
import { cutsOf } from './cuts';
import { depthMarks, groovesByDepth } from './depths';
import { overGrooves, readGroove } from './over-grooves';
import { endToEnd, type ReadStretch } from './stretches';
import { withSeats } from './seats';
import { boresOf, outsideOf, readStretch, type Evidence } from './surfaces';

/** A drawing out of the readings, with what they did not tell. */
export interface EvidenceDrawing {
  readonly part: Part;
  readonly doubts: readonly string[];
}

/** Shoulders that were read, mm from the zero face: each length from where it begins. */
const shoulders = (places: readonly PlaceFinding[], zeroMm: number): number[] =>
  places.flatMap((f) => {
    const long = f.place.kind === 'length' ? meanOf(f, 'length') : null;
    return long === null ? [] : [axisStartMm(f) - zeroMm, axisStartMm(f) - zeroMm + long];
  });

/** Where the farthest length that was read ends, mm from the zero face; null where none was. */
const overall = (marks: readonly number[]): number | null => (marks.length ? Math.max(...marks) : null);

/** Leaves out what does not go where it was measured, and says so. */
export function onlyWhatGoes(part: Part): EvidenceDrawing {
  const doubts: string[] = [];
  let left = part;
  for (;;) {
    const checked = validatePart(left);
    const wrong = checked.ok ? undefined : checked.problems.find((p) => p.path.startsWith('features.'));
    if (!wrong) return { part: left, doubts };
    const at = Number(wrong.path.split('.')[1]);
    doubts.push(`${left.features[at]!.name} is not drawn: ${wrong.message}`);
    left = { ...left, features: left.features.filter((_, i) => i !== at) };
  }
}

/**
 * The new part of an item as its readings have it: diameters what they were, or left to the fit with what stays; lengths and shoulders as read; what
 * was cut into it. Null where no outside diameter of what it replaces was read.
 *
 * @param evidence of the whole job, as it is now
 */
export function partFromEvidence(
  item: Pick<JobItem, 'name' | 'componentIds'>,
  evidence: Evidence,
  sheet: JobSheet,
): EvidenceDrawing | null {
  const { unit } = sheet.job;
  const own = groovesByDepth(evidence.places.filter((f) => item.componentIds.includes(f.component.id)));
  const zeroMm = Math.min(...own.map((f) => f.component.axisOffsetMm));
  const side = (which: 'outside' | 'inside'): ReadStretch[] => {
    const there = own.filter((f) => f.place.side === which);
    const read = there.flatMap((f) => readStretch(f, zeroMm) ?? []);
    return overGrooves(
      read,
      there.flatMap((f) => readGroove(f, zeroMm) ?? []),
      which,
    );
  };
  // A shoulder of the outside says nothing of where a bore steps.
  const of = (which: 'outside' | 'inside'): number[] =>
    shoulders(
      own.filter((f) => f.place.side === which),
      zeroMm,
    );
  const marks = of('outside');
  const out = endToEnd(side('outside'), marks, overall(marks), unit);
  if (!out.stretches.length) return null;
  const component = sheet.components.find((c) => item.componentIds.includes(c.id));
  const known = component && materialOf(component.materialId) ? component.materialId : UNKNOWN_MATERIAL;
  const body: Part = {
    name: item.name,
    materialId: known,
    outside: outsideOf(out.stretches, evidence),
    bores: [],
    features: [],
    limits: {},
    block: null,
  };
  const holes = boresOf(side('inside'), [...of('inside'), ...depthMarks(own, zeroMm)], partLengthMm(body), evidence, unit);
  const bored = { ...body, bores: holes.bores };
  const cuts = cutsOf(own, bored, zeroMm, sheet);
  const seated = withSeats(bored, evidence.seats, unit);
  const drawn = onlyWhatGoes({ ...seated.part, features: cuts.flatMap((c) => (c.feature ? [c.feature] : [])) });
  // A fit gives the size of what runs on something that stays; what wore and fits nothing is a guess until somebody says what it was.
  const placed = [...bored.outside, ...bored.bores.flatMap((b) => b.surfaces)];
  const worn = own.flatMap((f) => {
    const s = placed.find((o) => o.id === drawnId(f.place.id));
    const told = f.place.kind === 'thread' || f.place.land === 'unworn' || originalSizeMm(f) !== null;
    return s && !s.fitsPlaceIds.length && !told && !seated.part.limits[s.id]
      ? [`What ${inSentence(f.place.name)} was is not known: drawn as found, worn as it is.`]
      : [];
  });
  const unread = own.filter((f) => f.readings.length === 0).map((f) => `${f.place.name} has no reading yet: it is not in the drawing.`);
  return {
    part: drawn.part,
    doubts: [
      ...out.doubts,
      ...holes.doubts,
      ...seated.doubts,
      ...cuts.flatMap((c) => (c.doubt ? [c.doubt] : [])),
      ...drawn.doubts,
      ...worn,
      ...unread,
      ...(known === UNKNOWN_MATERIAL ? ['What the old part is made of is not known: say what the new one is made of.'] : []),
    ],
  };
}
