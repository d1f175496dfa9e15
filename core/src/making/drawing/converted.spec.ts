import { convertThread, findThread } from '../../book/threads';
import { newPart, surface, validatePart, type Part } from '../part';
import { addedBore, addedFeature } from './adding';
import { converted } from './converted';

const stud: Part = { ...newPart('plain-pin', 'Stud', 9.525, 60), features: [] };
const threaded = (part: Part, on: string, name: string): Part =>
  addedFeature(part, on, 'thread', 't', { thread: name, lengthMm: 15, end: 'left' })!.part;

it('an inch stud becomes the nearest metric one, blank and all, and can be made', () => {
  const inch = threaded(stud, 'body', '3/8-16 UNC');
  expect(validatePart(inch).ok).toBe(true);
  const metric = converted(inch, 't', findThread('M10')!)!;
  expect(metric.outside[0]!.diameterMm).toBe(10);
  expect(metric.features[0]).toMatchObject({ thread: 'M10', threadClass: '' });
  expect(validatePart(metric).ok).toBe(true);
});

it('a tapped hole gets the hole of its new thread', () => {
  const block: Part = { ...stud, outside: [surface('body', 'cylinder', 'Body', 40, 40)] };
  const bored = addedBore(block, 'near', 'b', 'mm').part;
  // ISO 724: M12 has a minor diameter of 10.106.
  const hole = { ...bored, bores: [{ ...bored.bores[0]!, surfaces: [{ ...bored.bores[0]!.surfaces[0]!, diameterMm: 10.106 }] }] };
  const tapped = threaded(hole, 'b-hole', 'M12');
  expect(validatePart(tapped).ok).toBe(true);
  const inch = converted(tapped, 't', findThread('1/2-13 UNC')!)!;
  // ASME B1.1: basic minor diameter of 1/2-13 is 0.4167 in.
  expect(inch.bores[0]!.surfaces[0]!.diameterMm / 25.4).toBeCloseTo(0.4167, 3);
  expect(validatePart(inch).ok).toBe(true);
});

it('every usual thread becomes its nearest of the other system and holds', () => {
  for (const name of ['M6', 'M8', 'M12 x 1.25', 'M20', '1/4-20 UNC', '5/16-18 UNC', '3/4-10 UNC', '1/2-20 UNF']) {
    const own = findThread(name)!;
    const part = threaded({ ...stud, outside: [surface('body', 'cylinder', 'Body', 60, own.majorMm)] }, 'body', own.name);
    const [near] = convertThread(own);
    expect([name, validatePart(converted(part, 't', near!.thread)!).ok]).toEqual([name, true]);
  }
  expect(converted(stud, 't', findThread('M10')!)).toBeNull();
});
