import * as fc from 'fast-check';
import { seededRandom } from '../../evidence/proof';
import { hostOf, mirrored, newPart, partLengthMm, placeAll, radiusAt, surface, validatePart, volumeMm3, type Part } from '../part';
import { anyPart } from '../part/testing-parts';
import { liesAt } from './cut-span';
import { addedBore, addedFeature } from './adding';
import { stretched } from './stretched';

const shaft: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 40),
  outside: [surface('a', 'cylinder', 'Seat', 40, 30), surface('b', 'cylinder', 'Body', 100, 40)],
  features: [],
};
const made = (part: Part): Part => {
  const checked = validatePart(part);
  if (!checked.ok) throw new Error(checked.problems.map((p) => p.message).join(' '));
  return part;
};
const longer = (part: Part, along: number, by: number, id = 'b'): Part => {
  const found = stretched(part, id, along, by);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return made(found.value);
};
const why = (part: Part, along: number, by: number, id = 'b'): string => {
  const found = stretched(part, id, along, by);
  return found.ok ? 'done' : found.problems[0]!.code;
};

describe('a shaft with a groove and a keyseat on its body', () => {
  const grooved = addedFeature(shaft, 'b', 'ring-groove', 'g', { atMm: 80, widthMm: 1.85, diameterMm: 37.5, ring: 'book' })!.part;
  const keyed = made(addedFeature(grooved, 'b', 'keyseat', 'k', { atMm: 10, lengthMm: 30, widthMm: 12, depthMm: 5 })!.part);

  it('gets longer between them: the keyseat stays from its end, the groove from the other', () => {
    const now = longer(keyed, 60, 25);
    expect(partLengthMm(now)).toBe(165);
    expect(now.features).toMatchObject([
      { id: 'g', atMm: 105 },
      { id: 'k', atMm: 10, lengthMm: 30 },
    ]);
  });

  it('gets longer through the keyseat, which gets longer with it', () => {
    expect(longer(keyed, 20, 5).features[1]).toMatchObject({ atMm: 10, lengthMm: 35 });
    expect(longer(keyed, 20, -5).features[1]).toMatchObject({ atMm: 10, lengthMm: 25 });
  });

  it('is not parted in the groove, nor where one of them would be lost', () => {
    expect(why(keyed, 81, 5)).toBe('through');
    expect(why(keyed, 60, -30)).toBe('through');
    expect(why(keyed, 60, -41)).toBe('too-short');
    expect(why(keyed, 101, 1)).toBe('beside');
    expect(why(keyed, 60, 0)).toBe('nothing');
    expect(why(keyed, 60, NaN)).toBe('nothing');
    expect(why(keyed, 60, 5, 'none')).toBe('no-surface');
  });
});

it('a blind bore that reaches the place goes on, one that does not stays as deep', () => {
  const bored = addedBore(shaft, 'near', 'h', 'mm').part;
  const blind = (depthMm: number): Part =>
    made({ ...bored, bores: [{ ...bored.bores[0]!, through: false, surfaces: [surface('h-hole', 'cylinder', 'Bore', depthMm, 10)] }] });
  expect(longer(blind(60), 50, 7).bores[0]!.surfaces[0]!.lengthMm).toBe(60);
  expect(longer(blind(120), 50, 7).bores[0]!.surfaces[0]!.lengthMm).toBe(127);
  expect(why(blind(92), 50, -5)).toBe('bore-ends');
});

/** Area of metal of a section across, mm², by the radii alone. */
const areaAt = (part: Part, x: number): number => {
  const radii = placeAll(part).filter((s) => s.fromMm < x && s.toMm > x);
  const out = radii.filter((s) => s.side === 'outside').map((s) => radiusAt(s, x));
  const bores = radii.filter((s) => s.side === 'inside').map((s) => radiusAt(s, x));
  return Math.PI * (Math.max(...out) ** 2 - Math.max(0, ...bores) ** 2);
};

it('of any part: what is put in is the section there, what lies beyond keeps its place from the other end, and it goes back', () => {
  let seen = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      fc.double({ min: 1, max: 30, noNaN: true }),
      (seed, share, by) => {
        const any = anyPart(seededRandom(seed));
        // Half of them bare: what is cut along through the place takes its own away too.
        const part: Part = seed % 2 ? any : { ...any, features: [] };
        const on = part.outside[seed % part.outside.length]!;
        const along = on.lengthMm * share;
        const found = stretched(part, on.id, along, by);
        if (!found.ok || on.kind === 'taper') return;
        const now = found.value;
        expect(validatePart(now).ok).toBe(true);
        const x = placeAll(part).find((s) => s.id === on.id)!.fromMm + along;
        const spans = part.features.flatMap((f) => liesAt(f, hostOf(part, f.on)!) ?? []);
        const [was, is] = [partLengthMm(part), partLengthMm(now)];
        expect(is - was).toBeCloseTo(by, 9);
        for (const f of part.features) {
          const [old, anew] = [part, now].map((p) =>
            liesAt(
              p.features.find((o) => o.id === f.id)!,
              hostOf(p, f.on)!,
            ),
          );
          if (!old || !anew) continue;
          if (old.toMm <= x) expect(anew.fromMm).toBeCloseTo(old.fromMm, 6);
          if (old.fromMm >= x) expect(is - anew.toMm).toBeCloseTo(was - old.toMm, 6);
        }
        const whole = !spans.some((s) => s.fromMm < x && s.toMm > x);
        const tapered = placeAll(part).some((s) => s.kind === 'taper' && s.fromMm < x && s.toMm > x);
        if (whole && !tapered) {
          seen++;
          expect(volumeMm3(now) - volumeMm3(part)).toBeCloseTo(by * areaAt(part, x), -1);
        }
        const back = stretched(now, on.id, along, -by);
        expect(back.ok && volumeMm3(back.value)).toBeCloseTo(volumeMm3(part), 2);
        // From the other end it is the same act.
        const there = stretched(mirrored(part), on.id, on.lengthMm - along, by);
        expect(there.ok && volumeMm3(there.value)).toBeCloseTo(volumeMm3(now), 2);
      },
    ),
    { numRuns: 300, seed: 7 },
  );
  expect(seen).toBeGreaterThan(40);
});
