import { newPart, surface, type Part, type PartFeature } from '../../making/part';
import { UNKNOWN_MATERIAL } from '../../book/materials';
import { notAsWeak, soundsLikeGivingWay } from './gives-way';
import { strengthFinding } from './strength-finding';

const pin = (neckMm: number, materialId = 'steel-c45', features: object[] = []): Part => ({
  ...newPart('plain-pin', 'Shear pin', 12, 60),
  materialId,
  outside: [
    surface('a', 'cylinder', 'Head end', 25, 12),
    surface('n', 'cylinder', 'Neck', 4, neckMm),
    surface('b', 'cylinder', 'Far end', 25, 12),
  ],
  features: features as PartFeature[],
});
const said = (old: Part | null, now: Part, oldMaterialId = old?.materialId ?? UNKNOWN_MATERIAL): string[] =>
  notAsWeak(now, oldMaterialId, strengthFinding(old && { part: old, materialId: oldMaterialId }, now));

it('the same section of the same steel may give way as before', () => {
  expect(said(pin(8), pin(8))).toEqual([]);
  // A little weaker gives way a little sooner.
  expect(said(pin(8), pin(7.8))).toEqual([]);
});

it('a thicker neck, another steel, hardness asked for: each is said', () => {
  const thicker = said(pin(8), pin(9)).join(' ');
  // Bent by the cube, pulled by the square of 9/8: 42 % and 27 %.
  expect(thicker).toMatch(/Pulled and pushed it bears 2\d % more/);
  expect(thicker).toMatch(/Bent while it turns it bears [34]\d % more/);
  expect(said(pin(8, 'steel-c45'), pin(8, 'steel-42crmo4')).join(' ')).toMatch(/the same steel in the same condition/);
  const hard = { id: 'h', kind: 'hardness', on: 'n', name: 'Hardness', scale: 'HRC', from: 45, to: 55, how: 'induction', remark: '' };
  expect(said(pin(8), pin(8, 'steel-c45', [hard]))).toEqual(['Hardness is asked for: only what the old one had.']);
});

it('what is not known of the old one is asked for', () => {
  expect(said(null, pin(8))).toEqual([expect.stringMatching(/made of is not known/), expect.stringMatching(/measure its neck/)]);
});

it.each([
  ['Shear pin', true],
  ['Auger shear bolt', true],
  ['Soft key', true],
  ['Break-away plate', true],
  ['Hinge pin', false],
  ['Soft jaw', false],
  ['Shearing blade', false],
])('%s: %s', (name, sounds) => expect(soundsLikeGivingWay(name)).toBe(sounds));
