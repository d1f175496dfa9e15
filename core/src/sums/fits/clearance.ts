import { askSchool, schoolId, schoolName, schoolOfId, schoolsOf } from '../../book/fits';
import { bad, good } from '../../terms/outcome';
import { minus, plus, ruled, sumOf } from '../../terms/working';
import { choice, length } from '../fields';
import { given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

/** The pin for a measured hole by any school: clearance or press. */
export const clearance: Sum = {
  id: 'clearance',
  title: 'Pin for a hole, by school',
  about: 'fit clearance press interference shaft running sliding H7 RC house rule',
  group: 'Sizes and fits',
  fields: (shop) => {
    const options = schoolsOf(shop.houseRules).map((s) => [schoolId(s), schoolName(s)] as const);
    return [length('hole', 'Hole, smallest', 25, 500), length('nominal', 'Hole was made to', 25, 500), choice('school', 'School', options)];
  },
  work: (v, shop) => {
    const school = schoolOfId(v.choice('school'), shop.houseRules);
    if (!school) return bad('school', 'That house rule is gone. Choose another.', 'school');
    const answer = askSchool(school, v.number('hole'), v.number('nominal'));
    if (!answer.ok) return { ok: false, problems: answer.problems.map((p) => ({ ...p, path: 'nominal' })) };
    const { clearanceMm, toleranceMm, words } = answer.value;
    const hole = given('clearance.hole', 'hole', v.number('hole'));
    const room = ruled('clearance.room', clearanceMm < 0 ? 'interference' : 'clearance', clearanceMm, words);
    const upper = sumOf('clearance.upper', 'largest the pin may be', [plus(hole), minus(room)]);
    const lower = sumOf('clearance.lower', 'smallest the pin may be', [
      plus(upper),
      minus(ruled('clearance.width', 'tolerance', toleranceMm, words)),
    ]);
    const aim = result('clearance.aim', 'turn to', (upper.value + lower.value) / 2, 'middle of the limits', [lower, upper]);
    const r = hole.value / 2;
    return good({
      figures: [aim, upper, lower, room],
      words: [clearanceMm < 0 ? 'The pin is larger than the hole: press, or heat and cold.' : `Play ${words}.`],
      picture: [
        circle(r, 'mate'),
        circle((upper.value / 2) * (clearanceMm < 0 ? 1.01 : 0.97)),
        ...cross(r),
        size('hole', [-r, -r * 1.3], [r, -r * 1.3]),
      ],
    });
  },
};
