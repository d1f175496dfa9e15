import { CAUSES, FINDINGS, type CauseId, type FindingId } from '../../evidence/diagnosis';
import { materialName } from '../../book/materials';
import { calledOff, chosenReturn, chosenRoute } from './choices';
import type { ItemFinding } from './item-finding';
import type { PlaceFinding } from './place-finding';
import type { JobSheet } from './records';
import { chosenWay } from './spent';
import { acts, findings, softParts } from './strip-records';

/** A size by which a job is found again. */
export interface LedgerSize {
  /** Where it is: `Drive shaft, body`, `Bush, bore`. */
  readonly name: string;
  /** mm */
  readonly mm: number;
  readonly kind: 'found' | 'made';
  /** What else it is called: its fit, its thread, what gave it its limits. */
  readonly words: string;
}

/** What a job that is handed back is found by. */
export interface LedgerCard {
  readonly words: string;
  readonly sizes: readonly LedgerSize[];
}

/** So many sizes and characters of a job are kept: the rest of a very large one is found by its ticket. */
const MOST_SIZES = 80;
const MOST_WORDS = 8000;
const MOST_SIZE_WORDS = 200;

const foundSizes = (places: readonly PlaceFinding[]): LedgerSize[] =>
  places.flatMap(({ place, component, mean, thread }) =>
    mean
      ? [
          {
            name: `${component.name}, ${place.name}`,
            mm: mean.value,
            kind: 'found' as const,
            words: thread?.answer?.matches[0]?.thread.name ?? '',
          },
        ]
      : [],
  );

const madeSizes = (items: readonly ItemFinding[]): LedgerSize[] =>
  items.flatMap(({ item, part }) =>
    (part?.dimensions ?? []).flatMap(({ dimension: d, figure, words, from }) =>
      d.unit === '' && !d.before && from !== 'none'
        ? [{ name: `${item.name}, ${d.label}`, mm: figure.value, kind: 'made' as const, words: from === 'general' ? '' : words }]
        : [],
    ),
  );

/** What a job is found by in the ledger; null where it is not handed back, and so not in it. */
export function ledgerCard(sheet: JobSheet, places: readonly PlaceFinding[], items: readonly ItemFinding[]): LedgerCard | null {
  const handed = chosenReturn(sheet);
  if (!handed || calledOff(sheet) !== null) return null;
  const route = chosenRoute(sheet);
  const cause = route?.causeId;
  const { number, title, machine, complaint } = sheet.job;
  const words = [
    ...[
      String(number),
      title,
      machine,
      sheet.customer.name,
      complaint,
      route?.cause ?? '',
      chosenWay(sheet)?.name ?? '',
      route?.route ?? '',
    ],
    handed.lesson,
    ...(cause ? [CAUSES[cause as CauseId].name] : []),
    ...sheet.components.flatMap((c) => [c.name, materialName(c.materialId), c.asFound]),
    ...places.map(({ place }) => place.name),
    ...findings(sheet).flatMap(({ value }) => [FINDINGS[value.findingId as FindingId].name, value.words]),
    ...softParts(sheet).map(({ value }) => value.size),
    ...acts(sheet).map(({ value }) => value.where),
    ...items.flatMap(({ item, part }) => [item.name, ...(part ? [materialName(part.part.materialId)] : [])]),
    ...sheet.notes.map((n) => n.text),
  ];
  return {
    words: [...new Set(words.map((w) => w.trim()).filter(Boolean))].join('\n').slice(0, MOST_WORDS),
    sizes: [...foundSizes(places), ...madeSizes(items)]
      .slice(0, MOST_SIZES)
      .map((s) => ({ ...s, words: s.words.slice(0, MOST_SIZE_WORDS) })),
  };
}
