import { toleranceWidth } from '../../book/fits';
import { LIP_SEAL_SHAFT } from '../../book/seals';
import { placeOutside, type Part, type PartFeature, type PlacedSurface } from '../../making/part';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { isDrawnFrom } from './drawn-id';
import type { FitFinding } from './fit-finding';
import type { PartFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import type { SeatFinding } from './seat-finding';

/** Something that what runs on a surface usually asks of it, and that the drawing does not ask yet. */
export interface AskedHere {
  readonly key: string;
  readonly surfaceName: string;
  /** As it would stand in the drawing, without an id. */
  readonly feature: PartFeature;
  readonly words: string;
  readonly why: string;
}

/** What of a job tells what runs on its new part. */
export interface AskingEvidence {
  readonly fits: readonly FitFinding[];
  readonly seats: readonly SeatFinding[];
  readonly places: readonly PlaceFinding[];
}

type Ask = Omit<AskedHere, 'key' | 'surfaceName' | 'words'>;

/** Ra of a seat of grade IT6, µm, up to a diameter in mm: as bearing seats are usually drawn. */
const SEAT_RA_UM = [
  { toMm: 80, raUm: 0.8 },
  { toMm: 500, raUm: 1.6 },
] as const;
/** Harder than the least that a lip asks, and not so hard that it chips: what induction gives a tempering steel, HRC. */
const HARD_TO_HRC = 60;

const KEYED: readonly PartFeature['kind'][] = ['keyseat', 'woodruff-seat', 'spline'];

const TENTH_THOU_MM = 0.00254;
/** As drawings tell it: down to a whole micrometre, or to the nearest ten-thousandth of an inch. */
const asTold = (mm: number, unit: LengthUnit): number =>
  unit === 'mm' ? Math.floor(mm * 1000 + 1e-9) / 1000 : Math.max(1, Math.round(mm / TENTH_THOU_MM)) * TENTH_THOU_MM;
const grade = (g: 'IT5' | 'IT6', diameterMm: number): number | null => {
  const width = toleranceWidth(g, diameterMm);
  return width.ok ? width.value : null;
};

const runOut = (on: string, to: PlacedSurface, which: 'run-out' | 'face-run-out', mm: number, why: string): Ask => ({
  feature: { id: '', kind: 'relation', on, name: 'True to', which, of: '', to: to.id, mm },
  why,
});

function ofSeat(s: PlacedSurface, seats: readonly PlacedSurface[], row: readonly PlacedSurface[], unit: LengthUnit): Ask[] {
  const rough = SEAT_RA_UM.find((r) => s.diameterMm <= r.toMm);
  const it5 = grade('IT5', s.diameterMm);
  const [first] = seats;
  const finish: Ask[] = rough
    ? [
        {
          feature: { id: '', kind: 'surface-finish', on: s.id, name: 'Surface', raUm: rough.raUm, how: 'turned' },
          why: `usual for a bearing seat of grade 6 up to ${rough.toMm} mm`,
        },
      ]
    : [];
  const between: Ask[] =
    it5 !== null && first && first.id !== s.id
      ? [
          runOut(
            s.id,
            first,
            'run-out',
            asTold(it5 / 2, unit),
            'half of IT5 (ISO 286-1), usual between the seats of bearings of normal class',
          ),
        ]
      : [];
  const shoulders = row.filter(
    (o) => o.diameterMm > s.diameterMm && (Math.abs(o.toMm - s.fromMm) < 1e-9 || Math.abs(o.fromMm - s.toMm) < 1e-9),
  );
  const faces =
    it5 === null
      ? []
      : shoulders.map((o) =>
          runOut(o.id, s, 'face-run-out', asTold(it5, unit), 'IT5 (ISO 286-1), usual for the shoulder that a bearing lies against'),
        );
  return [...finish, ...between, ...faces];
}

/** What it asks, in the reader's unit. */
function wordsOf(f: PartFeature, row: readonly PlacedSurface[], unit: LengthUnit): string {
  if (f.kind === 'surface-finish') return `Ra at most ${f.raUm} µm`;
  if (f.kind === 'hardness') return `${f.from} to ${f.to} ${f.scale}`;
  if (f.kind !== 'relation') return f.name;
  const to = row.find((s) => s.id === f.to)?.name ?? '';
  return `${f.which === 'run-out' ? 'run-out' : 'run-out of its face'} to ${inSentence(to)} at most ${formatWithUnit(f.mm, unit)}`;
}

/** Whether the drawing asks for it already, with whatever figure. */
const stands = (part: Part, { feature: f }: Ask): boolean =>
  part.features.some(
    (o) => o.kind === f.kind && o.on === f.on && (o.kind !== 'relation' || f.kind !== 'relation' || (o.which === f.which && o.to === f.to)),
  );

/**
 * What bearing seats, keyed seats and seal lands of a part usually ask: how true, how smooth, how hard. Never anywhere else, and nothing that the
 * drawing asks already.
 *
 * @param part a drawn part with its sizes
 * @param evidence the holes that it may fit, with what runs there; seats of bearings that are not here; and where lips ran
 */
export function askedHere(
  { part }: Pick<PartFinding, 'part'>,
  { fits, seats: sat, places }: AskingEvidence,
  unit: LengthUnit,
): AskedHere[] {
  const row = placeOutside(part);
  const turns = ({ runs }: Pick<FitFinding, 'runs'>): boolean => runs.kind?.startsWith('bearing-inner') ?? false;
  const bearings = fits.filter(turns).map((f) => f.hole.place.id);
  const drawn = sat.filter(turns).map((s) => s.place.place.id);
  const carries = (s: PlacedSurface): boolean =>
    s.fitsPlaceIds.some((id) => bearings.includes(id)) || drawn.some((id) => isDrawnFrom(s.id, id));
  const bearing = new Set(row.filter(carries).map((s) => s.id));
  const seats = row.filter((s) => bearing.has(s.id));
  const keyed = row.filter((s) => !bearing.has(s.id) && part.features.some((f) => f.on === s.id && KEYED.includes(f.kind)));
  const lips = places.filter((f) => f.place.suspicions.includes('seal-groove')).map((f) => f.place.id);
  const lands = row.filter(
    (s) => part.features.some((f) => f.on === s.id && f.kind === 'seal-land') || lips.some((id) => isDrawnFrom(s.id, id)),
  );
  const asks = [
    ...seats.flatMap((s) => ofSeat(s, seats, row, unit)),
    ...keyed.flatMap((s): Ask[] => {
      const it6 = grade('IT6', s.diameterMm);
      const why = 'IT6 (ISO 286-1) for what carries a gear or pulley: no standard says it, take what its own drawing asks';
      return seats[0] && it6 !== null ? [runOut(s.id, seats[0], 'run-out', asTold(it6, unit), why)] : [];
    }),
    ...lands.map((s): Ask => {
      const from = LIP_SEAL_SHAFT.leastHardnessHrc;
      return {
        feature: {
          id: '',
          kind: 'hardness',
          on: s.id,
          name: 'Hardness',
          scale: 'HRC',
          from,
          to: HARD_TO_HRC,
          how: 'induction',
          remark: '',
        },
        why: 'where a lip runs and dirt comes in (ISO 6194-1)',
      };
    }),
  ];
  return asks
    .filter((a) => !stands(part, a))
    .map((a, i) => ({
      ...{ feature: a.feature, why: a.why, words: wordsOf(a.feature, row, unit) },
      key: `${a.feature.on}.${a.feature.kind}.${i}`,
      surfaceName: row.find((s) => s.id === a.feature.on)?.name ?? '',
    }));
}
