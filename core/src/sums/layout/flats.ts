import { bad, good } from '../../terms/outcome';
import { flatDepthMm, flatWidthMm } from '../../making/schedule';
import { choice, length } from '../fields';
import { given, result } from '../given';
import { circle, cross, outline, size } from '../marks';
import type { Sum } from '../sum';

const NAMES = { '2': 'two flats', '4': 'square', '6': 'hexagon', '8': 'octagon' } as const;

/** Flats, square and hexagon: how deep from the round, and across the corners. */
export const flats: Sum = {
  id: 'flats',
  title: 'Flats and hexagon',
  about: 'flats across corners spanner square hexagon depth',
  group: 'Setting out',
  fields: () => [
    choice('sides', 'Shape', Object.entries(NAMES), '6'),
    length('across', 'Across flats', 17, 500, 0.5),
    length('bar', 'Turned diameter', 20, 600, 0.5),
  ],
  work: (v) => {
    const n = Number(v.choice('sides'));
    const [A, D] = [v.number('across'), v.number('bar')];
    if (A >= D) return bad('across', 'Across flats must be smaller than the turned diameter.', 'across');
    const across = given('flats.across', 'across flats', A);
    const bar = given('flats.bar', 'turned diameter', D);
    const depth = result('flats.depth', 'depth of cut from the round', flatDepthMm(D, A), '(D - A)/2', [bar, across]);
    const corners =
      n === 2 ? null : result('flats.corners', 'across sharp corners', A / Math.cos(Math.PI / n), 'A / cos(180° / sides)', [across]);
    const chord = flatWidthMm(D, A);
    const side = corners ? A * Math.tan(Math.PI / n) : chord;
    const width = result(
      'flats.width',
      'width of a flat',
      Math.min(chord, side),
      corners && chord > side ? 'A tan(180° / sides)' : 'sqrt(D² - A²)',
      [bar, across],
    );
    const points = Array.from({ length: n }, (_, i): readonly [number, number] => {
      const a = ((i + 0.5) * 2 * Math.PI) / n + Math.PI / 2;
      const R = A / 2 / Math.cos(Math.PI / n);
      return [R * Math.cos(a), R * Math.sin(a)];
    });
    const shape =
      n === 2
        ? outline('part', [-chord / 2, A / 2], [chord / 2, A / 2], [chord / 2, -A / 2], [-chord / 2, -A / 2])
        : outline('part', ...points);
    return good({
      figures: [depth, ...(corners ? [corners] : []), width],
      words:
        corners && corners.value > D
          ? ['The corners come out rounded: the turned diameter is under across corners.']
          : corners
            ? ['The corners come out sharp.']
            : [],
      picture: [circle(D / 2, 'hidden'), shape, ...cross(D / 2), size('across flats', [D * 0.65, -A / 2], [D * 0.65, A / 2])],
    });
  },
};
