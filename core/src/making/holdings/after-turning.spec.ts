import { hostOf, kindOf, newPart, surface, type FeatureKindId, type Part, type PartFeature } from '../part';
import { afterTurning } from './after-turning';
import { workOf } from './work';
import { TEST_LATHE } from './testing-lathe';

const bush: Part = {
  ...newPart('plain-pin', 'Crank', 40, 100),
  features: [],
  outside: [surface('long', 'cylinder', 'Long', 70, 40), surface('end', 'cylinder', 'End', 30, 30)],
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 100, 16)] }],
};
const afterOf = (unit: 'mm' | 'in', ...features: readonly (readonly [FeatureKindId, string, object])[]) => {
  const made = features.map(
    ([kind, on, own], i) =>
      ({ ...kindOf(kind).start(hostOf(bush, on)!), id: `f${i}`, kind, on, name: 'It', ...own }) as unknown as PartFeature,
  );
  return afterTurning(workOf({ ...bush, features: made }, TEST_LATHE, 45, unit));
};

it('what is only turned needs nothing more', () => {
  expect(afterOf('mm')).toEqual([]);
  expect(afterOf('mm', ['ring-groove', 'long', {}])).toEqual([]);
});

it('an eccentric is dialled in until the indicator swings twice its throw, and is out of balance', () => {
  const [setUp] = afterOf('mm', ['eccentric', 'end', { throwMm: 3.5 }]);
  expect(setUp).toMatchObject({ machine: 'lathe', holding: 'three-jaw', after: { chosen: 'beside-packing' }, cuts: ['f0'] });
  expect(setUp!.hold).toContain('7.000 mm');
  expect(setUp!.cautions[0]).toContain('out of balance');
  expect(afterOf('in', ['eccentric', 'end', { throwMm: 3.175 }])[0]!.hold).toContain('0.2500 in');
});

it('everything across the axis is done in one holding on the mill, deburred last, held on the longest round', () => {
  const [setUp, ...rest] = afterOf('mm', ['keyseat', 'end', {}], ['cross-hole', 'long', {}]);
  expect(rest).toEqual([]);
  expect(setUp).toMatchObject({ machine: 'mill', cuts: ['f0', 'f1'], locates: { on: 'surface', id: 'long' } });
  expect(setUp!.operations.at(-1)).toBe('Deburr inside and out');
  expect(setUp!.cautions[0]).toContain('Clamp before drilling');
});

it('a keyway is broached after the mill, a treatment comes last of all', () => {
  const all = afterOf(
    'mm',
    ['treatment', 'end', { process: 'plate' }],
    ['keyway', 'hole', {}],
    ['keyseat', 'end', {}],
    ['eccentric', 'end', {}],
  );
  expect(all.map((s) => s.machine)).toEqual(['lathe', 'mill', 'press', 'bench']);
  expect(all.at(-1)!.cautions[0]).toContain('baked');
  expect(all.every((s) => s.settingMin > 0 && s.cautions.length > 0)).toBe(true);
});
