import { inTrueSize, sceneDxf, sceneSvg } from '../../making/scene';
import { FEATURE_KINDS, hostOf, newPart, surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { drawingSheet } from './drawing-sheet';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const pin = newPart('headed-pin', 'Pin', 40, 120);
const hole = {
  ...FEATURE_KINDS['cross-hole'].start(hostOf(pin, 'body')!),
  id: 'h',
  kind: 'cross-hole',
  on: 'body',
  name: 'Split pin hole',
  diameterMm: 6,
  atMm: 100,
} as const;
const groove = {
  ...FEATURE_KINDS['ring-groove'].start(hostOf(pin, 'body')!),
  id: 'g',
  kind: 'ring-groove',
  on: 'body',
  name: 'Ring groove',
} as const;
const part: Part = {
  ...pin,
  features: [...pin.features, groove, hole],
  bores: [{ id: 'b', from: 'near', through: false, surfaces: [surface('oil', 'cylinder', 'Oil bore', 50, 8)] }],
};
const sheet = drawingSheet(
  workOut(testSheet({ choices: [testChoice(choiceKey.part, part)] }), testShop).part!,
  { title: '<script>&"Pin', released: '2, 27 Nov 2026, Ada', quantity: 3 },
  'mm',
);

describe('as SVG', () => {
  it('is one lying A4, with limits, scale and release, and no markup from its title', () => {
    const svg = sceneSvg(sheet);
    expect(svg).toContain('width="297.000mm"');
    expect(svg).toContain('2, 27 Nov 2026, Ada');
    expect(svg).toContain('1 to 1');
    expect(svg).toContain('Body ⌀ 39.700 to 40.300');
    expect(svg).toContain('Oil bore ⌀ 7.800 to 8.200, from the near end, 49.700 to 50.300 deep');
    expect(svg).toContain('Ring groove on body:');
    expect(svg).toContain('mm at 20 °C, from the zero face');
    const said = svg.replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ');
    expect(said).toContain('width 1.850 to 1.990');
    expect(svg).not.toContain('<script>');
  });
  it('writes a comma in the words only: lines stay SVG', () => {
    const comma = sceneSvg(sheet, (t) => t.replace(/(\d)\.(\d)/g, '$1,$2'));
    expect(comma).toContain('Body ⌀ 39,700 to 40,300');
    expect(comma.match(/ d="[^"]*,/g)).toBeNull();
  });
});

describe('as DXF', () => {
  /** Group codes and values in pairs, as the format has them. */
  const pairs = sceneDxf(inTrueSize(sheet))
    .split('\r\n')
    .slice(0, -1)
    .reduce<[number, string][]>((all, line, i, lines) => (i % 2 ? all : [...all, [Number(line), lines[i + 1]!]]), []);

  it('is sections of entities, each on a layer, ended as it should be', () => {
    expect(pairs.filter(([c, v]) => c === 0 && v === 'SECTION')).toHaveLength(2);
    expect(pairs.filter(([c, v]) => c === 0 && v === 'ENDSEC')).toHaveLength(2);
    expect(pairs.at(-1)).toEqual([0, 'EOF']);
    const entities = pairs.filter(([c]) => c === 0).map(([, v]) => v);
    expect(new Set(entities)).toEqual(new Set(['SECTION', 'LINE', 'CIRCLE', 'TEXT', 'ENDSEC', 'EOF']));
    expect(pairs.filter(([c]) => c === 8)).toHaveLength(entities.filter((e) => ['LINE', 'CIRCLE', 'TEXT'].includes(e)).length);
    expect(pairs.every(([, v]) => /^[\x20-\x7e]*$/.test(v))).toBe(true);
  });
  it('has the hole where it is, and the diameter sign as the format writes it', () => {
    const at = pairs.findIndex(([c, v]) => c === 0 && v === 'CIRCLE');
    const circle = Object.fromEntries(pairs.slice(at + 1, at + 6));
    // 8.4 of head, 100 along the body.
    expect([Number(circle[10]), Number(circle[20]), Number(circle[40])]).toEqual([108.4, 0, 3]);
    expect(pairs.some(([c, v]) => c === 1 && v.startsWith('Body %%c 39.700'))).toBe(true);
  });
  it('the outline closes on the axis at both ends', () => {
    const edges = pairs.flatMap(([c, v], i) => (c === 8 && v === 'PART' ? [pairs.slice(i + 1, i + 7).map(([, x]) => Number(x))] : []));
    // Ends that only one line has would leave a gap: below the centre line the outline runs from the axis to the axis.
    const below = edges.filter(([, y1, , , y2]) => y1! <= 0 && y2! <= 0);
    const [first, last] = [below[0]!, below.at(-1)!];
    expect([first[0], first[1], last[3], last[4]]).toEqual([0, 0, 120, 0]);
    below.slice(1).forEach((e, i) => expect([e[0], e[1]]).toEqual([below[i]![3], below[i]![4]]));
  });
});
