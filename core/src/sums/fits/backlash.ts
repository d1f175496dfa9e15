import { bad, good } from '../../terms/outcome';
import { length, number } from '../fields';
import { given, result } from '../given';
import { line, size } from '../marks';
import type { Sum } from '../sum';

/** Bevel gears whose backlash is set by moving one of them along its axis, and by how much. */
export const backlash: Sum = {
  id: 'backlash',
  title: 'Bevel gears: backlash to shims',
  about: 'bevel mitre gear backlash shim pinion crown wheel gearbox axial move',
  group: 'Sizes and fits',
  fields: () => [
    length('found', 'Backlash found', 0.45, 10, 0),
    length('wanted', 'Backlash wanted', 0.2, 10, 0),
    number('moved', 'Teeth of the gear that is moved', '', 20, 5, 500),
    number('mate', 'Teeth of its mate', '', 20, 5, 500),
    number('pressure-angle', 'Pressure angle', '°', 20, 10, 35),
  ],
  work: (v) => {
    const [found, wanted] = [v.number('found'), v.number('wanted')];
    const [moved, mate, angle] = [v.number('moved'), v.number('mate'), v.number('pressure-angle')];
    const cone = Math.atan(moved / mate);
    if (found === wanted) return bad('same', 'It is as wanted already.', 'wanted');
    const from = [
      given('backlash.found', 'backlash found', found),
      given('backlash.wanted', 'backlash wanted', wanted),
      given('backlash.angle', 'pressure angle', (angle * Math.PI) / 180, 'angle'),
    ];
    const pitchCone = result('backlash.cone', 'pitch cone of the gear that is moved', cone, 'atan(its teeth / its mate’s)', [], 'angle');
    const moves = Math.abs(found - wanted) / (2 * Math.tan((angle * Math.PI) / 180) * Math.sin(cone));
    const closer = found > wanted;
    return good({
      figures: [
        result(
          'backlash.shims',
          closer ? 'shims to take from its pack' : 'shims to put to its pack',
          moves,
          'change / (2 tan pressure angle x sin pitch cone)',
          [...from, pitchCone],
        ),
        pitchCone,
      ],
      words: [
        closer ? 'It goes in, towards the point where the axes meet.' : 'It goes out, away from the point where the axes meet.',
        'Backlash as an indicator reads it on a tooth at the pitch circle, the mate held.',
        'Straight bevels on shafts at a right angle; spiral ones want their makers’ own figure. Shims that stand behind the gear: taking some away must bring it in, look which side they are on.',
        'Moving one gear alone shifts the marks along the teeth: look at them with blue, and move both where the contact runs to an end.',
        'Measure again at three places round: the tightest is the one that counts.',
      ],
      picture: [
        line('centre', [-60, 0], [20, 0]),
        line('centre', [0, -60], [0, 20]),
        line('part', [0, 0], [-50 * Math.cos(cone), -50 * Math.sin(cone)]),
        line('mate', [-50 * Math.cos(cone), 0], [-50 * Math.cos(cone), -50 * Math.sin(cone)]),
        size('moves', [-50 * Math.cos(cone), 8], [-50 * Math.cos(cone) + 12, 8]),
      ],
    });
  },
};
