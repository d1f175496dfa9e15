import { MM_PER_INCH, toInchFraction } from '../../terms/quantity';
import { DRILL_KINDS, type Drill, type DrillKind } from './drill';
import { LETTER_DRILLS_IN, NUMBER_DRILLS_IN } from './drills.data';

export { inCrib, type DrillSet } from './drill-sets';
export { DRILL_SOURCE } from './drills.data';
export { DRILL_KINDS, type Drill, type DrillKind } from './drill';

/** Fractions as sold: by 1/64 to 1 3/4 in, by 1/32 to 2 1/4, by 1/16 to 3 1/2. */
const fractions = (): Drill[] =>
  Array.from({ length: 3.5 * 64 }, (_, i) => i + 1)
    .filter((n) => n <= 1.75 * 64 || (n <= 2.25 * 64 && n % 2 === 0) || n % 4 === 0)
    .map((n) => ({ name: toInchFraction((n / 64) * MM_PER_INCH).text, kind: 'fraction', diameterMm: (n / 64) * MM_PER_INCH }));

/** Metric as sold (DIN 338, DIN 345), hundredths of a mm: from, to, step. */
const METRIC_STEPS = [
  [50, 1400, 10],
  [1425, 3200, 25],
  [3250, 5100, 50],
  [5200, 8000, 100],
] as const;

const metric = (): Drill[] =>
  METRIC_STEPS.flatMap(([from, to, step]) =>
    Array.from({ length: (to - from) / step + 1 }, (_, i): Drill => {
      const diameterMm = (from + i * step) / 100;
      return { name: String(diameterMm), kind: 'metric', diameterMm };
    }),
  );

/** Every drill of the usual sets, smallest first. */
export const DRILLS: readonly Drill[] = [
  ...fractions(),
  ...NUMBER_DRILLS_IN.map((d, i): Drill => ({ name: String(i + 1), kind: 'number', diameterMm: d * MM_PER_INCH })),
  ...Object.entries(LETTER_DRILLS_IN).map(([name, d]): Drill => ({ name, kind: 'letter', diameterMm: d * MM_PER_INCH })),
  ...metric(),
].sort((a, b) => a.diameterMm - b.diameterMm);

/** A drill's name with its set: `number 7`, `5/16 in`, `letter F`, `6.8 mm`. */
export function drillWords({ name, kind }: Drill): string {
  switch (kind) {
    case 'fraction':
      return `${name} in`;
    case 'metric':
      return `${name} mm`;
    case 'number':
    case 'letter':
      return `${kind} ${name}`;
  }
}

/** Where a size would stand in the list: the first drill that is not smaller. */
function placeOf(diameterMm: number): number {
  let [low, high] = [0, DRILLS.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (DRILLS[middle]!.diameterMm < diameterMm) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Drills nearest to a size, nearest first: walks outwards from where it stands in the list. */
export function nearestDrills(diameterMm: number, kinds: readonly DrillKind[] = DRILL_KINDS, how = 4, underMm = Infinity): Drill[] {
  const found: Drill[] = [];
  let up = placeOf(diameterMm);
  let down = up - 1;
  while (found.length < how && (down >= 0 || up < DRILLS.length)) {
    const [below, above] = [DRILLS[down], DRILLS[up]];
    const takeBelow = !above || (below !== undefined && diameterMm - below.diameterMm <= above.diameterMm - diameterMm);
    const next = takeBelow ? below! : above;
    if (takeBelow) down--;
    else up++;
    if (kinds.includes(next.kind) && next.diameterMm < underMm) found.push(next);
  }
  return found;
}
