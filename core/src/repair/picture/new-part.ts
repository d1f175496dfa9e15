import { outsideCuts } from '../../making/drawing';
import { outline, placeOutside } from '../../making/part';
import { bodyLines, partLines } from '../../making/scene';
import type { PartFinding } from '../job';
import type { Drawing } from './model';

/** A new part as it is drawn. */
export function newPart({ part, problems }: PartFinding): Drawing {
  if (part.block) return { shows: 'block', contour: [], lines: problems.length ? [] : partLines(part), spans: [], cuts: [], own: [] };
  const spans = placeOutside(part).map((s) => ({ id: s.id, name: s.name, fromMm: s.fromMm, toMm: s.toMm, radiusMm: s.diameterMm / 2 }));
  // What is cut into a drawing with problems may lie anywhere: its bare surfaces show.
  const contour = outline({ ...part, features: [] });
  return problems.length
    ? { shows: 'part', contour, lines: bodyLines(contour), spans, cuts: [], own: [] }
    : { shows: 'part', contour, lines: partLines(part), spans, cuts: outsideCuts(part), own: [] };
}
