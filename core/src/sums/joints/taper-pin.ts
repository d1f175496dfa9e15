import { bad, good } from '../../terms/outcome';
import { DOWELS_INCH, DOWELS_MM, nextTaperPins, PIN_SOURCES, taperPinEnds, taperPinWornFrom } from '../../book/pins';
import { MM_PER_INCH, toInchFraction } from '../../terms/quantity';
import { length, number } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, line, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Metric taper pins are 1:50, inch ones 1:48. */
const METRIC_RATIO = 50;
const SAME_MM = 1e-6;
/** Larger pins that are offered. */
const OFFERED = 4;

/** The listed straight pin that cleans up a hole, inch beside an inch taper and metric beside a metric one; null beyond the list. */
function straightPin(wornMm: number, ratio: number): { readonly mm: number; readonly name: string; readonly source: string } | null {
  if (ratio === METRIC_RATIO) {
    const mm = DOWELS_MM.find((d) => d >= wornMm - SAME_MM);
    return mm === undefined ? null : { mm, name: `${mm} mm`, source: PIN_SOURCES.dowel };
  }
  const inch = DOWELS_INCH.find((d) => d * MM_PER_INCH >= wornMm - SAME_MM);
  if (inch === undefined) return null;
  return { mm: inch * MM_PER_INCH, name: `${toInchFraction(inch * MM_PER_INCH).text} in`, source: PIN_SOURCES.dowelInch };
}

/** Which taper pin it was, the next one that cleans up both ends of the worn hole, and what the pin carries between hub and shaft. */
export const taperPin: Sum = {
  id: 'taper-pin',
  title: 'Taper pin through hub and shaft',
  about: 'taper pin number next size clean up ream hub shaft shear torque drum winch cross pin',
  group: 'Keys, rings, seals',
  fields: () => [
    length('small', 'Old pin, small end', 6.33, 60, 0.5),
    length('long', 'Pin’s length, through the hub', 48, 400, 2),
    length('hole-small', 'Hole worn to, small end', 6.6, 60, 0.5),
    length('hole-large', 'Hole worn to, large end', 7.6, 60, 0.5),
    length('shaft', 'Shaft', 38, 500, 2),
    number('torque', 'Torque', 'Nm', 200, 0, 1e6),
  ],
  work: (v) => {
    const [small, long, shaft] = [v.number('small'), v.number('long'), v.number('shaft')];
    if (shaft >= long) return bad('shaft', 'The pin must be longer than the shaft is thick: it goes through the hub too.', 'shaft');
    const holes = { small: v.number('hole-small'), large: v.number('hole-large') };
    const old = taperPinWornFrom(small, long);
    const larger = nextTaperPins({ largeMm: holes.large, smallMm: holes.small }, long).map((pin) => ({ pin, ...taperPinEnds(pin, long) }));
    const next = larger.find((p) => !old || p.pin.ratio === old.ratio) ?? larger[0];
    if (!next) return bad('hole-large', 'No listed taper pin is that large: bore the hole for a straight pin, or bush it.', 'hole-large');
    const wornMm = Math.max(holes.small, holes.large);
    const ratio = old?.ratio ?? next.pin.ratio;
    const straight = straightPin(wornMm, ratio);

    const torque = given('taper-pin.torque', 'torque', v.number('torque'), 'torque');
    const across = given('taper-pin.shaft', 'shaft', shaft);
    const planeMm = (long - shaft) / 2;
    const forceN = (torque.value * 1000) / shaft;
    const force = result('taper-pin.force', 'force on each of two planes', forceN, 'torque / shaft', [torque, across], 'force');
    const shear = (key: string, label: string, atMm: number): ReturnType<typeof result> =>
      result(key, label, forceN / ((Math.PI * atMm ** 2) / 4), 'force / area of the pin there', [force], 'stress');
    return good({
      answer: { label: 'next pin that cleans up both ends', text: next.pin.name },
      figures: [
        fromTable('taper-pin.large', 'its large end', next.largeMm, next.pin.source),
        fromTable('taper-pin.small', 'its small end, at this length', next.smallMm, next.pin.source),
        result('taper-pin.straight', 'a straight pin cleans up from', wornMm, 'the larger of the worn ends', [
          given('taper-pin.hole-small', 'hole, small end', holes.small),
          given('taper-pin.hole-large', 'hole, large end', holes.large),
        ]),
        ...(straight ? [fromTable('taper-pin.straight-pin', `the next straight one, ${straight.name}`, straight.mm, straight.source)] : []),
        force,
        shear('taper-pin.shear-old', 'shear in the old pin at its thin plane', small + planeMm / ratio),
        shear('taper-pin.shear-new', 'shear in that pin at its thin plane', next.smallMm + planeMm / next.pin.ratio),
        ...(straight ? [shear('taper-pin.shear-straight', 'shear in that straight pin', straight.mm)] : []),
      ],
      tables: [
        {
          title: 'Pins that clean up both ends',
          columns: ['Pin', 'Large end', 'Small end', 'Table'],
          rows: larger.slice(0, OFFERED).map((p) => [p.pin.name, p.largeMm, p.smallMm, p.pin.source]),
        },
      ],
      words: [
        old
          ? `The old pin was ${old.name}: ${old.source}, 1:${old.ratio}.`
          : 'The old pin is in no list, or wore too far to say which it was.',
        'Drill and ream hub and shaft together, and mark them: the pin fits no other way round. Step drills first, the reamer takes little.',
        'What the shaft keeps beside a larger pin, and the hub’s end beyond it, must still carry the torque: look at both before reaming.',
      ],
      picture: [
        circle(long / 2, 'mate'),
        circle(shaft / 2),
        rectangle(-long / 2, -next.largeMm / 2, long, next.largeMm, 'tool'),
        line('centre', [-long * 0.6, 0], [long * 0.6, 0]),
        size('shaft', [-shaft / 2, -long * 0.62], [shaft / 2, -long * 0.62]),
      ],
    });
  },
};
