import { COMPOSITION, materialName, materialOf, UNKNOWN_MATERIAL } from '../../book/materials';
import { beadOrder, NO_PREHEAT_C, preheatC, runsFor, seamAreaMm2, tackOrder, type Bead, type WeldWay } from '../../making/process';
import { choiceKey, loggedChoices, valueOf } from './choices';
import type { JobItem } from './items';
import type { PartFinding } from './part-finding';
import type { JobSheet } from './records';

/** A round seam, and how it is welded. */
export interface WeldChoice {
  readonly materialId: string;
  readonly otherId: string;
  readonly seam: 'fillet' | 'bevel';
  /** Leg of a fillet, depth of a bevel, mm. */
  readonly sizeMm: number;
  /** Of a bevel to the end face; nought for a fillet. */
  readonly bevelDeg: number;
  /** Of the seam, mm. */
  readonly diameterMm: number;
  /** Thicker of the two parts there, mm. */
  readonly thickMm: number;
  readonly way: WeldWay;
  readonly heatKjMm: number;
  /** Chrome, a thread or the seat of a seal lies near. */
  readonly spare: boolean;
}

/** A tack or a quarter of a run that is laid. */
export interface BeadChoice {
  readonly itemId: string;
  readonly kind: 'tack' | 'bead';
  /** Which of them, from 0. */
  readonly index: number;
  /** What the part had before it was laid, °C; null where nobody read it. */
  readonly tempC: number | null;
  readonly laidAt: string;
  readonly removed: boolean;
}

export interface LaidBead extends BeadChoice {
  readonly id: string;
  readonly personId: string;
}

/** A seam: what it takes, what is laid, what comes next. */
export interface WeldFinding {
  /** As it was said; null while nobody did. */
  readonly setting: WeldChoice | null;
  /** What the two parts are made of, as far as the job knows. */
  readonly materials: readonly [string, string];
  readonly tacks: readonly number[];
  readonly beads: readonly Bead[];
  readonly runs: number;
  readonly laid: readonly LaidBead[];
  /** What is laid next; null before it is set up, and once all is. */
  readonly next: { readonly kind: 'tack' | 'bead'; readonly index: number; readonly words: string } | null;
  /** °C; null where a qualified procedure has to say it. */
  readonly preheatC: number | null;
  /** No bead is laid while it is warmer, °C. */
  readonly betweenC: number;
  readonly sentences: readonly string[];
}

/** Warmest between two runs: of plain steel; beside chrome, threads and seals, and of stainless, °C. Ours, within what EN 1011-2 and -3 leave. */
const BETWEEN_C = { plain: 250, spared: 150 } as const;

const isWelded = ({ steps }: Pick<JobItem, 'steps'>): boolean => steps.some((s) => s.act === 'weld');

/** What an item's seam was said to be; null while nobody did. */
const chosenWeld = (sheet: Pick<JobSheet, 'choices'>, itemId: string): WeldChoice | null =>
  valueOf<WeldChoice>(sheet, choiceKey.weld(itemId));

const laidOf = (sheet: JobSheet, itemId: string): LaidBead[] =>
  loggedChoices<BeadChoice>(sheet, choiceKey.bead(''))
    .filter((b) => b.itemId === itemId)
    .sort((a, b) => Date.parse(a.laidAt) - Date.parse(b.laidAt));

/** Metals of what is joined: of the drawn parts, then of the components. */
function metalsOf(item: JobItem, parts: readonly PartFinding[], { components }: JobSheet): [string, string] {
  const own = components.filter((c) => item.componentIds.includes(c.id)).map((c) => c.materialId);
  const [a, b] = [...parts.map((p) => p.part.materialId), ...own];
  return [a ?? UNKNOWN_MATERIAL, b ?? a ?? UNKNOWN_MATERIAL];
}

interface Warmth {
  readonly c: number | null;
  readonly words: string;
}

/** The warmer of what two metals ask for; null where a procedure has to say it. */
function warmthOf(w: WeldChoice): Warmth {
  const metals = [...new Set([w.materialId, w.otherId])];
  const each = metals.map((id): Warmth => {
    const composition = COMPOSITION[id];
    const family = materialOf(id)?.family;
    if (!composition && family === 'stainless') return { c: NO_PREHEAT_C, words: '' };
    if (!composition)
      return {
        c: null,
        words: `${id === UNKNOWN_MATERIAL ? 'A metal that nobody knows' : materialName(id)} is not welded by a rule: by somebody who has a procedure for it, or not at all.`,
      };
    const c = preheatC(composition, w);
    return {
      c,
      words:
        c === null
          ? `${materialName(id)} hardens beside the seam: preheat and slow cooling by a qualified procedure, not by this page.`
          : '',
    };
  });
  const unknown = each.find((e) => e.c === null);
  return unknown ?? each.reduce((p, q) => (q.c! > p.c! ? q : p));
}

const isStainless = (id: string): boolean => materialOf(id)?.family === 'stainless';

/**
 * The seam of an item that is welded; null where nothing of it is.
 *
 * @param parts drawings of what is joined
 */
export function weldFinding(item: JobItem, parts: readonly PartFinding[], sheet: JobSheet): WeldFinding | null {
  if (!isWelded(item)) return null;
  const setting = chosenWeld(sheet, item.id);
  const materials = metalsOf(item, parts, sheet);
  const laid = laidOf(sheet, item.id);
  if (!setting)
    return {
      ...{ setting, materials, laid, tacks: [], beads: [], runs: 0, next: null, preheatC: null, betweenC: BETWEEN_C.plain },
      sentences: ['Say what seam it is: then the order of tacks and runs stands here, and how warm it has to be.'],
    };
  const tacks = tackOrder(setting.diameterMm);
  const runs = runsFor(seamAreaMm2({ kind: setting.seam, sizeMm: setting.sizeMm, bevelDeg: setting.bevelDeg }), setting.heatKjMm);
  const beads = beadOrder(runs);
  const warm = warmthOf(setting);
  const spared = setting.spare || isStainless(setting.materialId) || isStainless(setting.otherId);
  const betweenC = spared ? BETWEEN_C.spared : BETWEEN_C.plain;
  const isLaid = (kind: BeadChoice['kind'], index: number): boolean => laid.some((l) => l.kind === kind && l.index === index);
  const tack = tacks.findIndex((_, i) => !isLaid('tack', i));
  const bead = beads.findIndex((_, i) => !isLaid('bead', i));
  const next =
    tack >= 0
      ? { kind: 'tack' as const, index: tack, words: `Tack at ${tacks[tack]}°` }
      : bead >= 0
        ? {
            kind: 'bead' as const,
            index: bead,
            words: `Run ${beads[bead]!.run} of ${runs}, from ${beads[bead]!.fromDeg}° to ${beads[bead]!.toDeg}°`,
          }
        : null;
  const heat =
    warm.c === null
      ? warm.words
      : warm.c > NO_PREHEAT_C
        ? `Warm both to ${warm.c} °C before anything is laid, tacks too.`
        : 'Nothing has to be warmed: dry, and not below freezing.';
  return {
    ...{ setting, materials, laid, tacks, beads, runs, next, preheatC: warm.c, betweenC },
    sentences: [
      heat,
      ...(next
        ? [
            ...(tack === 0 ? ['Try everything that goes into it before it is tacked, and take it out again.'] : []),
            `No bead while it is warmer than ${betweenC} °C.`,
            ...(setting.spare
              ? ['Cover chrome, threads and seats with wet cloth and copper; earth beside the seam, never through a bearing or a thread.']
              : []),
          ]
        : [`All ${runs} runs are laid. Let it cool by itself, covered, then read every bore near it: it moved.`]),
      ...(warm.c !== null && warm.c > betweenC
        ? ['It has to be warmer than what lies near can bear: take that off first, or weld it elsewhere.']
        : []),
    ],
  };
}
