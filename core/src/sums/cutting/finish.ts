import { ridgesMm } from '../../making/process';
import { bad, good } from '../../terms/outcome';
import { MM_PER_INCH, significant } from '../../terms/quantity';
import { length } from '../fields';
import { given, result } from '../given';
import { arc, line, size } from '../marks';
import type { Sum } from '../sum';

const microns = (mm: number): string => `${significant(mm * 1000, 2)} µm (${significant((mm * 1e6) / MM_PER_INCH, 2)} µin)`;

/** The finish that a nose radius leaves at a feed, at best. */
export const finish: Sum = {
  id: 'finish',
  title: 'Finish from nose radius and feed',
  about: 'surface finish roughness Ra Rz nose radius feed insert turning',
  group: 'Cutting',
  fields: () => [length('feed', 'Feed a turn', 0.1, 3, 0.005), length('nose', 'Nose radius', 0.4, 10, 0.02)],
  work: (v) => {
    const [f, r] = [v.number('feed'), v.number('nose')];
    if (f >= r) return bad('feed', 'The feed must be smaller than the nose radius, or the straight edges cut the ridges.', 'feed');
    const { high, ra } = ridgesMm(f, r);
    const from = [given('finish.feed', 'feed', f), given('finish.nose', 'nose radius', r)];
    const half = Math.asin(f / 2 / r);
    const deg = (half * 180) / Math.PI;
    return good({
      answer: { label: 'Ra, at best', text: microns(ra) },
      figures: [result('finish.height', 'height of the ridges', high, 'r - sqrt(r² - f²/4), about f² / 8 r', from)],
      words: [
        `Ridges ${microns(high)} high. A worn edge, a tearing steel or chatter leaves more: believe the comparison piece.`,
        ...(r > MOST_NOSE_MM ? ['A nose as large chatters on a slender shaft.'] : []),
      ],
      picture: [
        ...[-1, 0, 1].map((i) => arc('tool', r, 270 - deg, 270 + deg, i * f, r)),
        line('centre', [-1.5 * f, 0], [1.5 * f, 0]),
        size('feed', [0, -f * 0.2], [f, -f * 0.2]),
      ],
    });
  },
};
const MOST_NOSE_MM = 1.2;
