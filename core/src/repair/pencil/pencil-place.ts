import { capital } from '../../terms/words';
import { bad, good, type Outcome } from '../../terms/outcome';
import type { ComponentRecord, PlaceRecord, JobSheet, Shop } from '../job';
import { NO_DETAIL, type PlaceDetail } from '../job/records';
import { parseLength, type LengthUnit } from '../../terms/quantity';
import { PLACE_KINDS, instrumentsFor, isIndicator, planFor, readsFor, unitShownBy, type Spot } from '../../evidence/readings';
import type { PencilLine } from './parse-pencil';

/** Length that a place is taken at while nobody says it and no station tells, mm. */
const ASSUMED_MM: Readonly<Record<LengthUnit, number>> = { mm: 20, in: 25.4 };

export type NewComponent = Omit<ComponentRecord, 'id' | 'jobId' | 'version'>;
export type NewPlace = Omit<PlaceRecord, 'id' | 'jobId' | 'version' | 'componentId'>;

/** What a line of the pencil sheet adds to a job. */
export interface PencilPlace {
  /** The component that is there, or one to be made. */
  readonly component: ComponentRecord | NewComponent;
  /** The place that is there and gets more stations, or null. */
  readonly there: PlaceRecord | null;
  readonly place: NewPlace;
  readonly readings: readonly { readonly spot: Spot; readonly text: string }[];
  /** What it runs in, moved along the axis to where they meet; null where that is said already, or nobody said where. */
  readonly moved: ComponentRecord | null;
}

const same = (p: string, q: string): boolean => p.trim().toLowerCase() === q.trim().toLowerCase();

/** The component of a line: named, or the one in hand where that is the same side of the metal; else a new one. */
function componentFor(line: PencilLine, sheet: JobSheet, inHandId: string | null): Outcome<ComponentRecord | NewComponent> {
  const { components } = sheet;
  const inside = line.side === 'inside';
  if (line.component === null) {
    const inHand = components.find((c) => c.id === inHandId);
    if (inHand) return good(inHand);
    if (components.length === 1) return good(components[0]!);
    if (components.length)
      return bad(
        'which-component',
        `On what? Write ${components[0]!.name} / ${line.name.toLowerCase()}, or another name before the stroke.`,
        'component',
      );
  }
  const name = capital(line.component ?? (sheet.job.title || 'Part'));
  const there = components.find((c) => same(c.name, name));
  if (there) return good(there);
  const hasWorn = components.some((c) => c.role === 'worn');
  const role = !inside && !hasWorn ? 'worn' : 'mate';
  return good({
    parentId: null,
    name,
    role,
    materialId: 'unknown',
    axisOffsetMm: 0,
    verdict: role === 'worn' ? 'remake' : 'reuse',
    asFound: '',
  });
}

/**
 * The component of a mate, so that the mate begins where the place begins that runs in it: only one that still lies at the start, with nothing else of
 * it on record that runs with something.
 */
function movedToMeet(mate: PlaceRecord | null, startMm: number | null, sheet: JobSheet, axisOffsetMm: number): ComponentRecord | null {
  const component = sheet.components.find((c) => c.id === mate?.componentId);
  if (!mate || startMm === null || !component || component.axisOffsetMm !== 0) return null;
  const own = sheet.places.filter((p) => p.componentId === component.id);
  const placed = own.some((p) => p.matesPlaceId !== null || sheet.places.some((o) => o.matesPlaceId === p.id));
  const meets = axisOffsetMm + startMm - mate.startMm;
  return placed || meets === 0 ? null : { ...component, axisOffsetMm: meets };
}

/** Kinds whose first reading is how long they are along the part: nobody says it twice. */
const READ_ALONG: readonly PencilLine['kind'][] = ['groove', 'length'];

function readAlongMm({ kind, groups }: PencilLine, unit: LengthUnit): number | null {
  const first = groups[0]?.texts[0];
  const read = READ_ALONG.includes(kind) && first !== undefined ? parseLength(first, { unit }) : null;
  return read?.ok ? read.value.valueMm : null;
}

/** Where it was read, and how long the place is taken to be where nobody said. */
function spanOf(line: PencilLine, unit: LengthUnit): { startMm: number; lengthMm: number; assumed: boolean; stationsMm: number[] } {
  const startMm = line.startMm ?? 0;
  const said = line.groups.flatMap((g) => (g.stationMm === null ? [] : [g.stationMm]));
  // As far past the last station as the first is from the end.
  const told = said.length ? Math.max(...said) + Math.max(Math.min(...said) - startMm, 1) - startMm : ASSUMED_MM[unit];
  const lengthMm = line.lengthMm ?? readAlongMm(line, unit) ?? told;
  const stationsMm = said.length ? said : line.groups.length ? [startMm + lengthMm / 2] : [];
  return { startMm, lengthMm, assumed: line.lengthMm === null, stationsMm };
}

/** How it lay under an indicator: on blocks where they are told, else between centres. */
const holdingOf = ({ kind, supportsMm }: PencilLine): Pick<PlaceDetail, 'holding' | 'supportsMm'> =>
  supportsMm ? { holding: 'v-blocks', supportsMm } : { holding: isIndicator(kind) ? 'centres' : null, supportsMm: [] };

/**
 * What a line adds: the component and the place, made or found by their names, and its readings at their spots.
 *
 * @param inHandId the component that was looked at last, for a line that names none
 */
export function pencilPlace(
  line: PencilLine,
  sheet: JobSheet,
  shop: Pick<Shop, 'instruments'>,
  inHandId: string | null,
): Outcome<PencilPlace> {
  const component = componentFor(line, sheet, inHandId);
  if (!component.ok) return component;
  const componentId = 'id' in component.value ? component.value.id : null;
  const { unit } = sheet.job;
  const mate = line.mate === null ? null : sheet.places.find((f) => same(f.name, line.mate!) && f.componentId !== componentId);
  if (mate === undefined) return bad('no-such-mate', `There is no place called “${line.mate}” yet: write its line first.`, 'mate');
  const there = sheet.places.find((f) => f.componentId === componentId && same(f.name, line.name)) ?? null;
  const { grid, quantities } = PLACE_KINDS[line.kind];
  const { assumed, ...span } = spanOf(line, unit);
  const plan = planFor({ kind: line.kind, side: line.side, startMm: span.startMm, lengthMm: span.lengthMm, suspicions: [], unit });
  const union = (p: readonly number[], q: readonly number[]): number[] => [...new Set([...p, ...q])].sort((a, b) => a - b);
  const read = union(
    [],
    line.groups.flatMap((g) => g.clocksDeg),
  );
  const clocksDeg = read.length ? read : [...plan.clocksDeg];
  const readings = line.groups.flatMap(({ texts, clocksDeg: at }, nth) =>
    texts.map((text, i) => ({
      text,
      spot: {
        stationMm: span.stationsMm[nth]!,
        clockDeg: grid ? at[i]! : 0,
        quantity: grid ? quantities[0] : quantities[i]!,
      },
    })),
  );
  const reads = readsFor(quantities[0], line.side, line.kind);
  const seen = readings[0] ? parseLength(readings[0].text, { unit, allowZero: true, allowNegative: true }) : null;
  const sizeMm = seen?.ok && reads !== 'indicator' ? seen.value.valueMm : null;
  const reach = instrumentsFor(shop.instruments, reads, sizeMm, unit, plan.instruments);
  // The sheet is written in the job's unit: an instrument that shows it comes before a nearer one that shows the other.
  const instrument = reach.find((i) => (unitShownBy(i) ?? unit) === unit) ?? reach[0] ?? shop.instruments[0];
  const otherUnit = instrument && (unitShownBy(instrument) ?? unit) !== unit;
  const inUnit = (text: string): string => (otherUnit && !/[a-z"µ]/i.test(text) ? `${text} ${unit}` : text);
  return good({
    component: component.value,
    there,
    place: there
      ? {
          ...there,
          stationsMm: union(there.stationsMm, span.stationsMm),
          clocksDeg: union(there.clocksDeg, readings.length && grid ? clocksDeg : []),
        }
      : {
          name: line.name,
          kind: line.kind,
          suspicions: [...line.suspicions],
          detail: { ...NO_DETAIL, ...holdingOf(line), lengthAssumed: assumed && grid },
          side: line.side,
          startMm: span.startMm,
          lengthMm: span.lengthMm,
          land: line.unworn ? 'unworn' : 'worn',
          matesPlaceId: mate?.id ?? null,
          stationsMm: span.stationsMm.length ? [...span.stationsMm] : [...plan.stationsMm],
          clocksDeg: grid ? clocksDeg : [0],
          instrumentId: instrument?.id ?? '',
        },
    readings: readings.map((r) => ({ ...r, text: inUnit(r.text) })),
    moved: there ? null : movedToMeet(mate, line.startMm, sheet, component.value.axisOffsetMm),
  });
}
