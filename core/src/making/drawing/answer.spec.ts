import { seededRandom } from '../../evidence/proof';
import { dimensionsOf, hostOf, newPart, outline, partLengthMm, placeOutside, surface, validatePart, type Part } from '../part';
import { anyPart } from '../part/testing-parts';
import { addedFeature } from './adding';
import { answer, optionsOf } from './answer';
import { answered, asksOf } from './asks';

const random = seededRandom(20261201);
const PARTS = Array.from({ length: 40 }, () => anyPart(random));
const ask = (part: Part, id: string) => asksOf(part).find((a) => a.id === id)!;
const typed = (part: Part, id: string, text: string, unit: 'mm' | 'in' = 'mm'): Part => {
  const got = answer(part, ask(part, id), text, unit);
  if (!got.ok) throw new Error(got.problems[0]!.message);
  return got.value;
};
const refused = (part: Part, id: string, text: string): string => {
  const got = answer(part, ask(part, id), text, 'mm');
  return got.ok ? '' : got.problems[0]!.message;
};

const SHAFT: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 100),
  outside: [surface('a', 'cylinder', 'Seat', 40, 30), surface('b', 'cylinder', 'Nose', 60, 25)],
  features: [],
};

it('every thing is asked for once, in the order along the axis', () => {
  for (const part of PARTS) {
    const asks = asksOf(part);
    expect(new Set(asks.map((a) => a.id)).size).toBe(asks.length);
    const owners = [...part.outside, ...part.bores.flatMap((b) => b.surfaces), ...part.features].map((x) => x.id);
    expect(new Set(asks.map((a) => a.ownerId))).toEqual(new Set(owners));
    const along = asks
      .filter((a) => part.outside.some((s) => s.id === a.surfaceId))
      .map((a) => part.outside.findIndex((s) => s.id === a.surfaceId));
    expect(along).toEqual([...along].sort((p, q) => p - q));
  }
});

it('what stands there, typed again, changes nothing; another number changes that field and its dimension alone', () => {
  for (const part of PARTS)
    for (const a of asksOf(part)) {
      const options = optionsOf(part, a);
      const same = options.length ? String(options.findIndex(([v]) => v === a.value) + 1) : String(a.value);
      const again = answer(part, a, same, 'mm');
      if (!again.ok) throw new Error(`${a.id}: ${again.problems[0]!.message}`);
      // To a millionth of a millimetre: nobody types finer.
      const stands = asksOf(again.value).find((x) => x.id === a.id)!.value;
      if (typeof a.value === 'number') expect(stands).toBeCloseTo(a.value, 5);
      expect(answered(again.value, a, a.value)).toEqual(part);
      if (a.spec.kind !== 'length' || !((a.value as number) > 0)) continue;
      const next = answer(part, a, `${Number((0.999 * (a.value as number)).toFixed(4))}`, 'mm');
      if (!next.ok || !validatePart(next.value).ok) continue;
      const was = new Map(dimensionsOf(part).map((d) => [d.key, d.value]));
      const moved = dimensionsOf(next.value).filter((d) => Math.abs(d.value - was.get(d.key)!) > 1e-6);
      // A size that others follow (an eccentric's, a keyway's over the bore) moves them too; its own is always among them.
      if (was.has(a.key)) expect(moved.map((d) => d.key)).toContain(a.key);
    }
});

it('a bare number is in the reader’s unit, a written one in its own', () => {
  expect(typed(SHAFT, 'a.diameterMm', '1.25', 'in').outside[0]!.diameterMm).toBeCloseTo(31.75, 9);
  expect(typed(SHAFT, 'a.diameterMm', '1 1/4 in').outside[0]!.diameterMm).toBeCloseTo(31.75, 9);
  expect(typed(SHAFT, 'a.lengthMm', '41').outside[0]!.lengthMm).toBe(41);
});

it('limits behind the size go with it', () => {
  // ISO 286-2: 30 h7 is 0 to -21 µm, 30 k6 is +2 to +15 µm.
  expect(typed(SHAFT, 'a.diameterMm', '30 h7').limits['a']).toMatchObject({ lowerDev: -0.021, upperDev: 0 });
  const k6 = typed(SHAFT, 'a.diameterMm', '30k6').limits['a']!;
  expect([k6.lowerDev, k6.upperDev]).toEqual([expect.closeTo(0.002, 6), expect.closeTo(0.015, 6)]);
  const inch = typed(SHAFT, 'a.diameterMm', '1.1811 +0 -0.0005', 'in');
  expect(inch.outside[0]!.diameterMm).toBeCloseTo(1.1811 * 25.4, 9);
  expect(inch.limits['a']!.lowerDev).toBeCloseTo(-0.0127, 9);
  expect(typed(SHAFT, 'b.lengthMm', '60 ±0.1').limits['b.length']).toMatchObject({ lowerDev: -0.1, upperDev: 0.1 });
  expect(refused(SHAFT, 'a.diameterMm', '30 hk')).not.toBe('');
  expect(refused(SHAFT, 'a.diameterMm', '25-26')).toMatch(/wider than a quarter/);
  expect(refused(SHAFT, 'b.lengthMm', '60 +20')).toMatch(/wider than a quarter/);
  // A sign on its number is a tolerance, one that stands apart adds.
  expect(typed(SHAFT, 'b.lengthMm', '60 -0.1').limits['b.length']).toMatchObject({ lowerDev: -0.1, upperDev: 0 });
  expect(typed(SHAFT, 'b.lengthMm', '60 + 2').outside[1]!.lengthMm).toBe(62);
});

it('lengths told from a face: the shoulder lies there, the part is as long as was said', () => {
  const shoulder = typed(SHAFT, 'a.lengthMm', '55 from zero');
  expect(placeOutside(shoulder)[0]!.toMm).toBe(55);
  expect(partLengthMm(shoulder)).toBe(115);
  expect(partLengthMm(typed(SHAFT, 'b.lengthMm', '120 over all'))).toBe(120);
  expect(partLengthMm(typed(SHAFT, 'a.lengthMm', '4.5 in overall'))).toBeCloseTo(114.3, 9);
  expect(refused(SHAFT, 'b.lengthMm', '35 from zero')).toMatch(/40.00\u00a0mm long already/);
  expect(refused(SHAFT, 'a.diameterMm', '30 from zero')).toMatch(/number alone/);
});

it('a groove told from any face has its nearer wall there', () => {
  const part = addedFeature(SHAFT, 'b', 'relief', 'g')!.part;
  const walls = (p: Part): number[] => {
    const { surface: s } = hostOf(p, 'b')!;
    const floor = outline(p).filter((q) => q.x > s.fromMm && q.x < s.toMm && q.r < s.diameterMm / 2 - 1e-6);
    return [Math.min(...floor.map((q) => q.x)), Math.max(...floor.map((q) => q.x))];
  };
  expect(walls(typed(part, 'g.atMm', '12'))[0]).toBeCloseTo(52, 6);
  expect(walls(typed(part, 'g.atMm', '12 from right'))[1]).toBeCloseTo(88, 6);
  expect(walls(typed(part, 'g.atMm', '12 from the far end'))[1]).toBeCloseTo(88, 6);
  expect(walls(typed(part, 'g.atMm', '70 from zero'))[0]).toBeCloseTo(70, 6);
  expect(refused(part, 'g.atMm', '30 from zero')).toMatch(/10.00\u00a0mm to the left/);
});

it('a length is told between any two faces, by the name of what the other one is on', () => {
  const one = addedFeature(SHAFT, 'b', 'relief', 'g')!.part;
  const two = addedFeature(one, 'b', 'relief', 'h')!.part;
  const [first, second] = placeOutside(SHAFT);
  const part: Part = {
    ...two,
    features: two.features.map((f) => (f.id === 'g' ? { ...f, name: 'Ring groove', atMm: 10 } : { ...f, name: 'Oil way', atMm: 40 })),
  };
  const walls = (p: Part, id: string): [number, number] => {
    const f = p.features.find((x) => x.id === id) as unknown as { atMm: number; widthMm: number };
    const from = placeOutside(p)[1]!.fromMm + f.atMm;
    return [from, from + f.widthMm];
  };
  const [ring, way] = [walls(part, 'g'), walls(part, 'h')];
  // Each stays on the side of the other on which it lies, and the walls that look at each other are so far apart.
  expect(walls(typed(part, 'h.atMm', '5 from right of ring groove'), 'h')[0]).toBeCloseTo(ring[1] + 5, 6);
  expect(walls(typed(part, 'g.atMm', '1/2 in from the left wall of Oil way'), 'g')[1]).toBeCloseTo(way[0] - 12.7, 6);
  expect(walls(typed(part, 'g.atMm', `3 from left of ${second!.name}`), 'g')[0]).toBeCloseTo(second!.fromMm + 3, 6);
  expect(walls(typed(part, 'g.atMm', '4 from right of oil'), 'g')[1]).toBeCloseTo(way[1] - 4, 6);
  // A shoulder, from the end of another stretch.
  expect(placeOutside(typed(part, 'b.lengthMm', `75 from left of ${first!.name}`))[1]!.toMm).toBeCloseTo(75, 6);
  expect(refused(part, 'a.lengthMm', `20 from left of ${second!.name}`)).toMatch(/moves along/);
  expect(refused(part, 'g.atMm', '5 from left of collar')).toMatch(/Nothing here is called collar/);
  expect(refused(part, 'g.atMm', `60 from left of Oil way`)).toMatch(/to the left of where its surface begins/);
  expect(refused(part, 'g.widthMm', '5 from left of oil way')).toMatch(/number alone/);
  const twins: Part = { ...part, features: part.features.map((f) => ({ ...f, name: 'Relief' })) };
  expect(refused(twins, 'g.atMm', '5 from left of relief')).toMatch(/There are 2/);
});

it('a choice is taken by its number or its first letters, and a wrong one says what there is', () => {
  const part = addedFeature(SHAFT, 'b', 'thread', 't')!.part;
  const end = (p: Part): unknown => (p.features[0] as unknown as { end: string }).end;
  expect(end(typed(part, 't.end', '1'))).toBe('left');
  expect(end(typed(part, 't.end', 'r'))).toBe('right');
  expect(refused(part, 't.end', 'up')).toBe('From: 1 left end, 2 right end.');
  expect(refused(part, 't.end', 'end')).toMatch(/1 left end/);
});

it('hostile answers are refused with a reason and never thrown', () => {
  for (const part of PARTS.slice(0, 10))
    for (const a of asksOf(part))
      for (const text of [
        '',
        ' ',
        '-1',
        '1e99',
        'NaN',
        '0x10',
        '\u0000',
        '∞',
        '5 from',
        'from right',
        '1/0',
        '9'.repeat(400),
        '<b>',
        '12 from right over all',
      ]) {
        const got = answer(part, a, text, 'in');
        if (!got.ok) expect(got.problems[0]!.message).not.toBe('');
        else if (a.spec.kind !== 'text') expect(Object.values(answered(got.value, a, a.value))).not.toContain(NaN);
      }
});
