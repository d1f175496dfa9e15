import { surface } from '../surface';
import type { Part } from '../part';
import { hostOf } from '../host';
import { FEATURE_KINDS, fieldsOf, kindOf, type FeatureKindId } from '.';

const KINDS = Object.keys(FEATURE_KINDS) as FeatureKindId[];
const bored: Part = {
  ...{ name: 'Part', materialId: 'steel-c45', features: [], limits: {}, block: null },
  outside: [surface('out', 'cylinder', 'Body', 60, 40)],
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 60, 20)] }],
};
const hosts = { outside: hostOf(bored, 'out')!, inside: hostOf(bored, 'in')! };

it.each(KINDS)('%s stands under its own id, has a name, and starts with every one of its fields on every side it goes to', (id) => {
  const kind = kindOf(id);
  expect(kind.kind).toBe(id);
  expect(kind.name).not.toBe('');
  expect(kind.sides.length).toBeGreaterThan(0);
  for (const side of kind.sides) {
    const start = kind.start(hosts[side]) as object;
    expect(Object.keys(start).sort()).toEqual(Object.keys(fieldsOf(id)).sort());
    for (const v of Object.values(start)) expect(['number', 'string']).toContain(typeof v);
  }
});

it.each(KINDS)('%s asks only for what it has', (id) => {
  for (const field of kindOf(id).asks ?? []) expect(fieldsOf(id)).toHaveProperty(field);
  for (const spec of Object.values(fieldsOf(id))) if ('when' in spec && spec.when) expect(fieldsOf(id)).toHaveProperty(spec.when[0]);
});

it('no two kinds are called alike', () => {
  const names = KINDS.map((id) => kindOf(id).name);
  expect(new Set(names).size).toBe(names.length);
});
