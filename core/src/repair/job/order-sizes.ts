import { nearestBearings } from '../../book/bearings';
import { splitPinFor } from '../../book/pins';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { ringsFor } from '../../book/rings';
import { LIP_SEAL_SIZES, ORINGS } from '../../book/seals';
import { identifyThread } from '../../book/threads';
import type { SoftKind } from './strip-records';

/** A size of a table as it is ordered, and how far it is from what was measured. */
export interface OrderSize {
  readonly name: string;
  readonly words: string;
}

const HOW_MANY = 4;
/** A flattened ring lost section, not its inside: the section counts double. */
const SECTION_WEIGHT = 2;

function orings(insideMm: number, sectionMm: number | null, show: (mm: number) => string): OrderSize[] {
  const miss = (r: (typeof ORINGS)[number]): number =>
    Math.abs(r.insideMm - insideMm) + (sectionMm === null ? 0 : SECTION_WEIGHT * Math.abs(r.sectionMm - sectionMm));
  return [...ORINGS]
    .sort((a, b) => miss(a) - miss(b))
    .slice(0, HOW_MANY)
    .map((r) => ({
      name: r.unit === 'in' ? `AS568 ${r.name}` : `O-ring ${r.name} mm`,
      words: `${show(r.insideMm)} x ${show(r.sectionMm)}${r.port ? `, port ${r.port}` : ''}`,
    }));
}

function lipSeals(shaftMm: number, boreMm: number | null): OrderSize[] {
  const miss = (s: (typeof LIP_SEAL_SIZES)[number]): number =>
    Math.abs(s.shaftMm - shaftMm) + (boreMm === null ? 0 : Math.abs(s.boreMm - boreMm));
  return [...LIP_SEAL_SIZES]
    .sort((a, b) => miss(a) - miss(b))
    .slice(0, HOW_MANY)
    .map((s) => ({ name: s.name, words: s.source }));
}

function rings(shaftMm: number | null, boreMm: number | null, show: (mm: number) => string): OrderSize[] {
  const on = shaftMm === null ? 'bore' : 'shaft';
  const size = shaftMm ?? boreMm;
  const found = size === null ? null : ringsFor(on, size);
  return found?.ok
    ? found.value
        .slice(0, HOW_MANY)
        .map((r) => ({ name: `${r.standard} ${Number(r.sizeMm.toFixed(3))}`, words: `${on}, groove ${show(r.grooveMm)}` }))
    : [];
}

function bolts(majorMm: number, pitchMm: number | null): OrderSize[] {
  if (pitchMm === null) return [];
  const answer = identifyThread('outside', majorMm, pitchMm);
  if (!answer.ok) return [];
  const found = answer.value.matches.length ? answer.value.matches : answer.value.nearest;
  return found
    .slice(0, HOW_MANY)
    .map((m) => ({ name: m.thread.name, words: m.thread.common ? m.thread.series : `${m.thread.series}, rare` }));
}

/**
 * Sizes of the tables nearest to what was measured of a soft part or a fastener; empty where no table says, or nothing was measured.
 *
 * @param firstMm inside, shaft, bore or over the thread by kind, mm
 * @param secondMm section, housing, outside or pitch by kind, mm
 */
export function orderSizes(kind: SoftKind, firstMm: number | null, secondMm: number | null, unit: LengthUnit): OrderSize[] {
  const show = (mm: number): string => formatWithUnit(mm, unit, unit === 'mm' ? 2 : 3);
  if (kind === 'retaining-ring') return rings(firstMm, secondMm, show);
  if (kind === 'bearing' && (firstMm !== null || secondMm !== null))
    return nearestBearings(
      { ...(firstMm === null ? {} : { boreMm: firstMm }), ...(secondMm === null ? {} : { outsideMm: secondMm }) },
      HOW_MANY,
    ).map((b) => ({ name: b.code, words: `${show(b.boreMm)} x ${show(b.outsideMm)} x ${show(b.widthMm)}` }));
  if (firstMm === null) return [];
  if (kind === 'o-ring') return orings(firstMm, secondMm, show);
  if (kind === 'lip-seal') return lipSeals(firstMm, secondMm);
  if (kind === 'bolt') return bolts(firstMm, secondMm);
  if (kind === 'split-pin') {
    const pin = splitPinFor('bolt', firstMm);
    return pin.ok ? [{ name: `ISO 1234, ${pin.value} mm`, words: 'named by its hole' }] : [];
  }
  return [];
}
