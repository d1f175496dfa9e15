import { crankWords, cranksFor, USUAL_CIRCLES, USUAL_WORM } from '../../making/process';
import { good } from '../../terms/outcome';
import { choice, number, whole } from '../fields';
import { given, result } from '../given';
import { circle, cross } from '../marks';
import type { Mark, Sum } from '../sum';

/** Radius of the plate in the picture, mm. */
const PLATE_MM = 30;

/** A plate with the holes that the crank goes over, the first on top. */
function plate(holes: number, of: number): Mark[] {
  const at = (i: number): Mark => {
    const a = Math.PI / 2 - (2 * Math.PI * i) / of;
    return circle(i <= holes ? 1.8 : 0.7, 'part', PLATE_MM * Math.cos(a), PLATE_MM * Math.sin(a));
  };
  return [circle(PLATE_MM * 1.15), ...cross(PLATE_MM * 0.2), ...Array.from({ length: of }, (_, i) => at(i))];
}

/** Turns and holes of the crank for equal divisions or an angle, on the usual plates or a circle of the shop's own. */
export const dividing: Sum = {
  id: 'dividing',
  title: 'Dividing head',
  about: 'indexing index plate hole circle crank divisions teeth hexagon angle worm 40 sector arms',
  group: 'Setting out',
  fields: () => [
    choice('by', 'Known is', [
      ['divisions', 'how many'],
      ['angle', 'the angle'],
    ]),
    whole('divisions', 'Equal divisions', 6, 2, 1000),
    number('angle', 'Angle', '°', 60, 0.01, 360),
    whole('worm', 'Turns of the crank to one of the work', USUAL_WORM, 1, 180),
    whole('own', 'Circle of its own plate, 0 for the usual ones', 0, 0, 500),
  ],
  work: (v) => {
    const even = v.choice('by') === 'divisions';
    const [n, worm, own] = [v.number('divisions'), v.number('worm'), v.number('own')];
    const deg = even ? 360 / n : v.number('angle');
    const ways = cranksFor(deg, own ? [own] : USUAL_CIRCLES, worm);
    const best = ways[0]!;
    const rad = (deg * Math.PI) / 180;
    const asked = even
      ? result('dividing.angle', 'angle each time', rad, '360° over how many', [given('dividing.n', 'how many', n, 'count')], 'angle')
      : given('dividing.angle', 'angle', rad, 'angle');
    const off = result(
      'dividing.off',
      even ? 'off after the last' : 'off',
      ((even ? n : 1) * best.offDeg * Math.PI) / 180,
      'holes of the circle, less the turns of the crank that it asks for',
      [asked],
      'angle',
    );
    const others = ways.filter((w) => w.offDeg === 0 && w.circle !== null);
    return good({
      answer: { label: even ? 'Crank, each time' : 'Crank', text: crankWords(best) },
      figures: [asked, ...(best.offDeg === 0 ? [] : [off])],
      tables:
        others.length > 1
          ? [{ title: 'Circles that do', columns: ['circle', 'crank'], rows: others.map((w) => [String(w.circle), crankWords(w)]) }]
          : [],
      words: [
        best.offDeg === 0
          ? 'The hole that the pin stands in is not counted: set the sector arms over the holes and one more.'
          : `It does not come out in ${own ? 'that circle' : 'the usual plates'}: this is the nearest. Another plate, or differential indexing, divides it.`,
        'Come to every hole from the same side; past it, go back half a turn and come again. Clamp the spindle before the cut.',
      ],
      picture: plate(best.holes, best.circle ?? Math.min(...(own ? [own] : USUAL_CIRCLES))),
    });
  },
};
