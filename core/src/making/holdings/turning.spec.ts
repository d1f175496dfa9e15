import { newPart, surface, type Part } from '../part';
import { cutsOf } from './cut';
import { turningSetUp, type Turning } from './turning';
import { workOf } from './work';
import { TEST_LATHE } from './testing-lathe';

const shaft: Part = {
  ...newPart('plain-pin', 'Shaft', 40, 100),
  features: [],
  outside: [surface('a', 'cylinder', 'Seat', 30, 25), surface('b', 'cylinder', 'Body', 70, 40)],
};
const bored: Part = {
  ...shaft,
  bores: [{ id: 'bore', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 100, 12)] }],
};
const setUp = (own: Partial<Turning> = {}, part: Part = shaft, hollow = false) =>
  turningSetUp(workOf(part, TEST_LATHE, 45, 'mm', { hollow }), {
    ...{ title: 'One', holding: 'three-jaw', locates: { on: 'stock' }, free: 'near', cuts: cutsOf(part, 'mm'), overhangMm: 60 },
    ...{ heldMm: 45, heldOn: 'on the stock', zeroFace: 'the zero end', facesFirst: true, toLength: false, partsOff: false },
    ...own,
  });
const at = (operations: readonly string[], words: string): number => operations.findIndex((o) => o.startsWith(words));

it('faces first, then turns from the free end inwards, edges, and parts off last', () => {
  const { operations } = setUp({ partsOff: true });
  expect(operations[0]).toContain('Face the end');
  const turned = (list: readonly string[]) => list.filter((o) => o.startsWith('Turn '));
  expect(turned(operations)).toEqual(['Turn seat', 'Turn body']);
  expect(turned(setUp({ free: 'far' }).operations)).toEqual(['Turn body', 'Turn seat']);
  expect(operations.slice(-2)).toEqual(['Chamfers and edges', 'Part off']);
});

it('chamfers the end of a thread before the thread is cut, and cuts the groove that it runs out into before both', () => {
  const threaded: Part = {
    ...shaft,
    features: [
      {
        ...{ kind: 'thread', id: 't', on: 'a', name: 'Thread', end: 'left', thread: 'M25 x 1.5', threadClass: '6g' },
        lengthMm: 20,
        hand: 'right',
        starts: 1,
      },
      { kind: 'chamfer', id: 'c', on: 'a', name: 'Chamfer', end: 'left', lengthMm: 1.5, angleDeg: 45 },
      { kind: 'relief', id: 'r', on: 'a', name: 'Relief', atMm: 26, widthMm: 4, diameterMm: 22.6 },
    ],
  };
  const { operations } = setUp({ partsOff: true, cuts: cutsOf(threaded, 'mm') }, threaded);
  const [turned, groove, edges, thread] = ['Turn seat', 'Relief', 'Chamfers and edges', 'Thread'].map((w) => at(operations, w));
  expect(turned).toBeGreaterThan(0);
  expect([turned! < groove!, groove! < edges!, edges! < thread!, thread! < operations.length - 1]).toEqual([true, true, true, true]);
});

it('bores before the tailstock comes up, whose centre then runs in the mouth; past the part-off where it is parted off', () => {
  const { operations } = setUp({ overhangMm: 200, partsOff: true }, bored);
  expect(at(operations, 'Drill and bore through, past the part-off')).toBeGreaterThan(0);
  expect(at(operations, 'Drill and bore')).toBeLessThan(at(operations, 'Bring up the tailstock'));
  expect(operations.find((o) => o.startsWith('Bring up'))).toContain('mouth of the bore');
  // A tube has its hole: nothing is drilled.
  expect(setUp({ overhangMm: 200 }, shaft, true).operations.join()).toContain('a plug with a centre in the hole of the stock');
  expect(setUp({ overhangMm: 200, partsOff: true }, bored, true).operations).toContain('Bore through, past the part-off');
  expect(setUp({ overhangMm: 200 }).operations).toContain('Centre drill, bring up the tailstock');
});

it('what stands out three times its thickness gets a tailstock, ten times a steady: both take longer and are said', () => {
  const [short, long, slender] = [setUp({ overhangMm: 100 }), setUp({ overhangMm: 200 }), setUp({ overhangMm: 700 })];
  expect([short.support, long.support, slender.support]).toEqual(['none', 'tailstock', 'steady']);
  expect(short.hold).toBe('three-jaw chuck, short overhang, on the stock');
  expect(slender.hold).toContain('travelling steady');
  expect(short.settingMin).toBeLessThan(long.settingMin);
  expect(long.settingMin).toBeLessThan(slender.settingMin);
});

it('between centres nothing stands out', () => expect(setUp({ holding: 'centres', overhangMm: 0 }).support).toBe('none'));

describe('cautions', () => {
  const has = (t: Partial<Turning>, words: string, part = shaft): boolean => setUp(t, part).cautions.some((c) => c.includes(words));
  it('the chuck key always', () => expect(has({}, 'chuck key out')).toBe(true));
  it('a guard against the chips of bronze and brass only', () => {
    expect(has({}, 'needle chips', { ...shaft, materialId: 'brass' })).toBe(true);
    expect(has({}, 'needle chips')).toBe(false);
  });
  it('a guarded dog between centres and on a mandrel', () => {
    expect(has({ holding: 'centres' }, 'dog')).toBe(true);
    expect(has({ holding: 'mandrel' }, 'dog')).toBe(true);
    expect(has({}, 'dog')).toBe(false);
  });
  it('copper under the jaws on what is finished, not on the stock', () => {
    expect(has({ locates: { on: 'surface', id: 'a' } }, 'copper')).toBe(true);
    expect(has({}, 'copper')).toBe(false);
  });
});
