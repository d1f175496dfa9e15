import { changeWheels, trainWords } from '../../making/schedule';
import { bad, good } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import { choice, length, thread, whole } from '../fields';
import { given, result } from '../given';
import { circle } from '../marks';
import type { Mark, Sum, SumShop } from '../sum';

/** A set as it often comes with a lathe; the 127 turns inches into millimetres. */
const OFTEN = [20, 25, 30, 35, 40, 40, 45, 50, 55, 60, 65, 70, 75, 80, 90, 100, 120, 127];
const OFTEN_ID = 'often';
/** Trains that are exact to this share. */
const EXACT = 1e-9;

const withWheels = ({ lathes }: SumShop): SumShop['lathes'] => lathes.filter((l) => l.wheels?.length);

/** The wheels one after another, each as large as its teeth. */
function picture(drivers: readonly number[], driven: readonly number[]): Mark[] {
  const row = drivers.flatMap((d, i) => [d, driven[i]!]);
  let x = 0;
  return row.flatMap((teeth, i) => {
    // Two on one stud turn about one axis.
    const onStud = i === 2;
    if (i > 0 && !onStud) x += row[i - 1]! / 2 + teeth / 2;
    return [circle(teeth / 2, i % 2 ? 'mate' : 'part', x, 0)];
  });
}

/** Change wheels for a thread: exact, or the nearest with what it is off over the engaged length. */
export const changeWheelsSum: Sum = {
  id: 'change-wheels',
  title: 'Change wheels for a thread',
  about: 'gears gearing train leadscrew metric on inch lathe 127 pitch quadrant',
  group: 'Threads',
  fields: (shop) => [
    thread('thread', 'Thread', 'M20 x 1.5'),
    whole('starts', 'Starts', 1, 1, 8),
    length('leadscrew', 'Pitch of the leadscrew', MM_PER_INCH / 8, 25, 0.5),
    choice('set', 'Wheels', [
      ...withWheels(shop).map((l) => [l.id, `those of ${l.name}`] as const),
      [OFTEN_ID, '20 to 70 by 5, another 40, 75, 80, 90, 100, 120, 127'],
    ]),
    length('long', 'Length that engages', 20, 500, 1),
  ],
  work: (v, shop) => {
    const t = v.thread('thread');
    const lead = t.pitchMm * v.number('starts');
    const wheels = withWheels(shop).find((l) => l.id === v.choice('set'))?.wheels ?? OFTEN;
    const trains = changeWheels(lead, v.number('leadscrew'), wheels);
    const [best] = trains;
    if (!best) return bad('wheels', 'Two wheels at least are needed.', 'set');
    const long = v.number('long');
    const exact = Math.abs(best.error) < EXACT;
    const pitch = given('wheels.lead', v.number('starts') > 1 ? 'lead' : 'pitch', lead);
    return good({
      answer: { label: 'on the quadrant', text: trainWords(best) },
      figures: [
        result(
          'wheels.off',
          'off over the engaged length',
          Math.abs(best.error) * long,
          'share of the pitch that it is off by, times the length',
          [pitch],
        ),
        result('wheels.cuts', 'pitch that it cuts', best.pitchMm, 'leadscrew times drivers over driven', [pitch]),
      ],
      tables: [
        {
          title: 'Trains, the nearest first',
          columns: ['Wheels', 'Cuts', 'Off over the length'],
          rows: trains.map((x) => [trainWords(x), x.pitchMm, Math.abs(x.error) * long]),
        },
      ],
      words: [
        exact ? 'Exact.' : 'Not exact: held against a nut as long as that, or cut with what comes nearer.',
        'Half-nuts stay closed where the thread is of the other system than the leadscrew.',
      ],
      picture: picture(best.drivers, best.driven),
    });
  },
};
