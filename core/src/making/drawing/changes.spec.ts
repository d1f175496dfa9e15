import { seededRandom } from '../../evidence/proof';
import { mirrored, newPart } from '../part';
import { anyPart } from '../part/testing-parts';
import { addedFeature, addedSurface } from './adding';
import { drawingChanges } from './changes';
import { removed } from './removed';

const PIN = newPart('headed-pin', 'Pin', 30, 100);

it('says what was added, what is gone and what is another size, with its limits', () => {
  const more = addedFeature(PIN, 'body', 'relief', 'r')!.part;
  expect(drawingChanges(PIN, more, 'mm')).toEqual(['Relief added']);
  expect(drawingChanges(more, removed(more, 'r')!, 'mm')).toEqual(['Relief gone']);
  const outside = PIN.outside.map((s) => (s.id === 'body' ? { ...s, diameterMm: 30.5 } : s));
  expect(drawingChanges(PIN, { ...PIN, outside }, 'mm')).toEqual(['diameter of body 30.500, was 30.000']);
  expect(drawingChanges(PIN, { ...PIN, outside }, 'in')).toEqual(['diameter of body 1.2008, was 1.1811']);
  const limits = { body: { lowerDev: -0.021, upperDev: 0, text: 'h7' } };
  expect(drawingChanges(PIN, { ...PIN, limits }, 'mm')).toEqual(['limits of diameter of body h7, were none of its own']);
  expect(drawingChanges(PIN, { ...PIN, name: 'Bolt', materialId: 'bronze-tin' }, 'mm')).toHaveLength(2);
});

it('nothing is said of what is the same', () => {
  const random = seededRandom(7);
  for (let i = 0; i < 30; i++) {
    const part = anyPart(random);
    expect(drawingChanges(part, mirrored(mirrored(part)), 'mm')).toEqual([]);
  }
});

it('a chamfer of the part’s end stays with the end, a step more or less', () => {
  const ends = (p: typeof PIN): unknown => p.features.map((f) => [f.on, (f as { end?: string }).end]);
  const longer = addedSurface(PIN, 'cylinder', 'Step', null, 'step', 'mm').part;
  expect(ends(longer)).toEqual([
    ['head', 'left'],
    ['step', 'right'],
  ]);
  expect(removed(longer, 'step')).toEqual(PIN);
  expect(ends(removed(longer, 'head')!)).toEqual([
    ['body', 'left'],
    ['step', 'right'],
  ]);
});

it('a part that loses a surface loses what was cut into it, and the last of the outside stays', () => {
  const random = seededRandom(8);
  for (let i = 0; i < 30; i++) {
    const part = anyPart(random);
    for (const s of part.outside) {
      const less = removed(part, s.id);
      if (part.outside.length === 1) expect(less).toBeNull();
      else expect(less!.features.some((f) => f.on === s.id)).toBe(false);
    }
    for (const b of part.bores) expect(removed(part, b.surfaces[0]!.id)!.bores).toEqual([]);
  }
});
