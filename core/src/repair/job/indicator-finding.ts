import { inSentence } from '../../terms/words';
import {
  fitBend,
  fitLobes,
  K95,
  roundness,
  runOut,
  scatterMm,
  type Bend,
  type ClockPoint,
  type LobeFit,
  type Roundness,
  type RunOut,
} from '../../evidence/readings';
import { formatWithUnit, nearRuleMark, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { workedOut, type Figure } from '../../terms/working';
import { instrumentOf } from './bias';
import { instrumentUncertaintyMm, type Measured } from './measured';
import type { ReadingRecord, Shop } from './records';

/** What an indicator showed of a place. */
export interface IndicatorFinding {
  readonly map: readonly RunOut[];
  readonly bend: Bend | null;
  readonly lobes: LobeFit | null;
  readonly round: Roundness | null;
  /** The number that counts: total reading, bend, or out of round. */
  readonly figure: Figure | null;
  readonly words: string;
  readonly cannotShow: readonly string[];
}

const SAME_STATION_MM = 0.25;

function byStation(readings: readonly ReadingRecord[]): { readonly stationMm: number; readonly points: readonly ClockPoint[] }[] {
  const groups: { stationMm: number; points: ClockPoint[] }[] = [];
  for (const r of [...readings].sort((p, q) => p.stationMm - q.stationMm)) {
    const last = groups.at(-1);
    const point = { clockDeg: r.clockDeg, valueMm: r.valueMm };
    if (last && r.stationMm - last.stationMm < SAME_STATION_MM) last.points.push(point);
    else groups.push({ stationMm: r.stationMm, points: [point] });
  }
  return groups;
}

const deg = (value: number): string => `${Math.round(value)}°`;

function lobesFinding(m: Measured, noiseMm: number, unit: LengthUnit, figures: readonly Figure[]): IndicatorFinding {
  const vDeg = m.place.detail.vDeg ?? 90;
  const [first] = byStation(m.readings);
  const lobes = first ? fitLobes(first.points, vDeg, noiseMm) : null;
  const top = lobes?.lobes[0];
  return {
    map: [],
    bend: null,
    lobes,
    round: null,
    figure:
      lobes &&
      workedOut(
        `${m.place.id}.out-of-round`,
        `${inSentence(m.place.name)} out of round`,
        lobes.outOfRoundMm,
        `highest less lowest radius, each lobe divided by what a ${vDeg}° V-block makes of it`,
        figures,
        { plusMinus: lobes.plusMinusMm },
      ),
    words: top ? `Mostly ${top.order} lobes of ${formatWithUnit(top.amplitudeMm, unit)} each side of the mean.` : '',
    cannotShow: lobes ? [`A ${vDeg}° V-block cannot show ${lobes.blind.join(', ')} lobes. Another angle would.`] : [],
  };
}

const spotWords = (mm: number, unit: LengthUnit): string => placeWithUnit(nearRuleMark(mm, unit), unit);

/** Two readings this near to opposite each other are the low and the high side of one turn, degrees. */
const OPPOSITE_DEG = 1;
const areOpposite = (p: ClockPoint, q: ClockPoint): boolean => Math.abs((Math.abs(p.clockDeg - q.clockDeg) % 360) - 180) <= OPPOSITE_DEG;

/** What only totals tell, read from the low side to the high one: how much at the worst station, and not which way. */
function totalsFinding(m: Measured, noiseMm: number, unit: LengthUnit, figures: readonly Figure[]): IndicatorFinding | null {
  const totals = byStation(m.readings).flatMap(({ stationMm, points }) => {
    const [p, q] = points;
    return points.length === 2 && areOpposite(p!, q!) ? [{ stationMm, totalMm: Math.abs(p!.valueMm - q!.valueMm) }] : [];
  });
  if (!totals.length) return null;
  const worst = totals.reduce((p, q) => (q.totalMm > p.totalMm ? q : p));
  const { place } = m;
  const name = inSentence(place.name);
  const isBend = place.kind === 'straightness';
  const at = placeWithUnit(worst.stationMm, unit);
  return {
    map: [],
    bend: null,
    lobes: null,
    round: null,
    figure: workedOut(
      `${place.id}.total`,
      isBend ? `bend of ${name}` : `run-out of ${name}`,
      worst.totalMm,
      `high side less low side at station ${at}`,
      figures,
      { plusMinus: K95 * Math.SQRT2 * noiseMm },
    ),
    words: isBend
      ? `Bow ${formatWithUnit(worst.totalMm / 2, unit)} at ${at}, half of what the indicator shows in all.`
      : `Off centre by ${formatWithUnit(worst.totalMm / 2, unit)} at ${at} at most, half of what the indicator shows in all.`,
    cannotShow: [
      isBend
        ? 'Which way it bows and where it is highest takes three stations or more, four readings round each.'
        : 'Which way it is off centre takes four readings round.',
    ],
  };
}

function turnedFinding(m: Measured, noiseMm: number, unit: LengthUnit, figures: readonly Figure[]): IndicatorFinding {
  const { place } = m;
  const stations = byStation(m.readings);
  const map = stations.flatMap((s) => runOut(s.stationMm, s.points, noiseMm) ?? []);
  const bend = place.kind === 'straightness' ? fitBend(map, place.detail.holding === 'v-blocks' ? place.detail.supportsMm : []) : null;
  const worst = map.reduce<RunOut | null>((p, q) => (p && p.totalMm >= q.totalMm ? p : q), null);
  const at = worst ? stations.find((s) => s.stationMm === worst.stationMm) : undefined;
  const round = at && place.detail.holding !== 'v-blocks' ? roundness(at.points, noiseMm) : null;
  const name = inSentence(place.name);
  const how = bend
    ? `twice the bow in the plane at ${deg(bend.planeDeg)}, crest at ${spotWords(bend.highAtMm, unit)}`
    : worst && `highest less lowest reading at station ${placeWithUnit(worst.stationMm, unit)}`;
  const blind: string[] = [];
  if (worst && worst.formMm === null) blind.push('Three angles cannot tell an eccentric section from one with a flat. Add angles between.');
  if (place.kind === 'straightness' && map.length < 3) blind.push('A bend needs readings at three stations or more.');
  if (place.detail.holding === 'chuck') blind.push('Held in a chuck, the error of the jaws is in it. Between centres it would not be.');
  if (bend && bend.readNextMm !== null)
    blind.push(`A kink could stand higher between two stations. Read at ${spotWords(bend.readNextMm, unit)} as well.`);
  if (bend && bend.inPlane < 0.9) blind.push('The bows do not lie in one plane: it is bent twice. Straighten one bend at a time.');
  return {
    map,
    bend,
    lobes: null,
    round,
    figure: worst
      ? workedOut(
          `${place.id}.total`,
          bend ? `bend of ${name}` : `run-out of ${name}`,
          bend ? bend.totalMm : worst.totalMm,
          how!,
          figures,
          {
            plusMinus: bend ? bend.plusMinusMm : worst.plusMinusMm,
          },
        )
      : null,
    words: bend
      ? `Bow ${formatWithUnit(bend.bowMm, unit)}, half of what the indicator shows; high spot at ${spotWords(bend.highAtMm, unit)} along ${deg(bend.planeDeg)} ±${deg(Math.max(bend.planePlusMinusDeg, 1))}.`
      : worst
        ? `High along ${deg(worst.highDeg)}; ${formatWithUnit(worst.fromEccentricMm, unit)} of it is off centre${worst.formMm === null ? '' : `, ${formatWithUnit(worst.formMm, unit)} form`}.`
        : '',
    cannotShow: blind,
  };
}

/** Run-out, bend or lobes from the indicator readings of a place; null without any. */
export function indicatorFinding(m: Measured, shop: Shop, unit: LengthUnit): IndicatorFinding | null {
  const readings = m.readings.filter((r) => r.quantity === 'indicator');
  if (readings.length === 0) return null;
  const noiseMm = Math.max(
    ...readings.map((r) => {
      const instrument = instrumentOf(shop, r.instrumentId);
      const instrumentMm = instrumentUncertaintyMm(instrument, 'outside');
      return instrument?.repeatMm ?? scatterMm({ instrumentMm });
    }),
  );
  const figures = readings.map(m.figureOf);
  if (m.place.kind === 'lobes') return lobesFinding(m, noiseMm, unit, figures);
  return (
    (readings.every((r) => r.clockDeg % 180 === 0) ? totalsFinding(m, noiseMm, unit, figures) : null) ??
    turnedFinding(m, noiseMm, unit, figures)
  );
}
