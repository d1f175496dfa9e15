import { bad, good } from '../../terms/outcome';
import { choice, length } from '../fields';
import { given, result } from '../given';
import { arc, line, size } from '../marks';
import type { Sum } from '../sum';

/** Volume of a head of diameter D, height h, over a shank d, mm³. */
const HEADS = {
  round: {
    words: 'round: a part of a ball',
    volume: (D: number, h: number) => (Math.PI * h * ((3 * D * D) / 4 + h * h)) / 6,
    how: 'pi h (3 D²/4 + h²)/6',
  },
  flat: { words: 'flat: a disc', volume: (D: number, h: number) => (Math.PI * D * D * h) / 4, how: 'pi D² h/4' },
  sunk: {
    words: 'countersunk: a cone down to the shank',
    volume: (D: number, h: number, d: number) => (Math.PI * h * (D * D + D * d + d * d)) / 12,
    how: 'pi h (D² + D d + d²)/12',
  },
} as const;

/** How far a rivet or a peened pin stands out before its head is formed. */
export const upset: Sum = {
  id: 'upset',
  title: 'Length for a riveted head',
  about: 'rivet upset peen head length volume shank pin',
  group: 'Stock and strength',
  fields: () => [
    length('shank', 'Shank', 8, 100, 0.5),
    length('hole', 'Hole', 8.4, 110, 0.5),
    length('grip', 'Plates together', 12, 500, 0.1),
    choice(
      'head',
      'Head',
      (Object.keys(HEADS) as (keyof typeof HEADS)[]).map((k) => [k, HEADS[k].words] as const),
    ),
    length('across', 'Head across', 14, 300, 0.6),
    length('height', 'Height of the head', 4.8, 100, 0.1),
  ],
  work: (v) => {
    const [d, hole, D, h] = [v.number('shank'), v.number('hole'), v.number('across'), v.number('height')];
    if (hole < d) return bad('hole', 'The hole must not be smaller than the shank.', 'hole');
    if (D <= hole) return bad('across', 'The head must be wider than the hole.', 'across');
    const kind = v.choice<keyof typeof HEADS>('head');
    const shape = HEADS[kind];
    if (kind === 'round' && h > D / 2 + 1e-9) return bad('height', 'A round head is at most half as high as it is wide.', 'height');
    if (kind === 'sunk' && h >= v.number('grip')) return bad('height', 'The countersink is deeper than the plates are thick.', 'height');
    const area = (Math.PI * d * d) / 4;
    const head = given('upset.height', `height of the head, ${shape.words}`, h);
    // A sunk head lies inside the grip: the shank that is there already makes part of it.
    const straight = v.number('grip') - (kind === 'sunk' ? h : 0);
    const fill = (straight * Math.PI * (hole * hole - d * d)) / 4;
    const own = shape.volume(D, h, hole) / area;
    const forHead = result('upset.head', 'shank for the head alone', own, `${shape.how}, over pi d²/4`, [
      head,
      given('upset.shank', 'shank', d),
    ]);
    const forHole = result('upset.fill', 'shank that fills the hole', fill / area, 'room round the shank over pi d²/4', [
      given('upset.hole', 'hole', hole),
    ]);
    const above = own + fill / area - (kind === 'sunk' ? h : 0);
    return good({
      figures: [
        result(
          'upset.out',
          'stands out of the plates',
          above,
          kind === 'sunk' ? 'both, less the depth of the countersink' : 'both together',
          [forHead, forHole],
        ),
        result('upset.length', 'under its own head', above + v.number('grip'), 'what stands out and the plates', []),
        forHead,
        forHole,
      ],
      words: ['Metal does not grow: the sum is by volume. Try one on scrap of the same thickness.'],
      caution: 'Chips fly off a struck set. Eye protection; a rivet that holds people or pressure is passed by whoever is licensed for it.',
      picture: [
        line('mate', [-D, 0], [-hole / 2, 0], [-hole / 2, -d * 1.5]),
        line('mate', [D, 0], [hole / 2, 0], [hole / 2, -d * 1.5]),
        line('part', [-d / 2, -d * 1.5], [-d / 2, above], [d / 2, above], [d / 2, -d * 1.5]),
        arc('hidden', D / 2, 0, 180),
        size('out', [D * 0.7, 0], [D * 0.7, above]),
      ],
    });
  },
};
