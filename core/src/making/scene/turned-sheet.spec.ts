import { seededRandom } from '../../evidence/proof';
import { newPart, outline, surface, type Part, type PartFeature } from '../part';
import { anyPart } from '../part/testing-parts';
import { textWidthMm } from './flags';
import { inTrueSize, SHEET_MM, type Sheet } from './page';
import type { Primitive } from './scene';
import { partSheet } from './turned-sheet';

type Text = Extract<Primitive, { kind: 'text' }>;
const sheetOf = (part: Part, notes: readonly string[] = []): Sheet =>
  partSheet(part, {
    title: '1001 Any',
    name: part.name,
    fields: [
      ['job', '1001 Any'],
      ['material', 'Medium carbon steel (C45, 1045)'],
    ],
    notes,
    diameters: Object.fromEntries(
      part.outside.map((s) => [s.id, `${s.name} ⌀ ${s.diameterMm.toFixed(3)} to ${(s.diameterMm + 0.1).toFixed(3)}`]),
    ),
    place: (mm) => mm.toFixed(2),
    numbers: Object.fromEntries(part.features.map((f, i) => [f.id, i + 1])),
  });
const textsOf = (s: Sheet): Text[] => s.primitives.flatMap((p) => (p.kind === 'text' ? [p] : []));
const boxOf = (t: Text) => {
  const wide = textWidthMm(t.text, t.heightMm);
  const fromX = t.anchor === 'middle' ? t.x - wide / 2 : t.x;
  return { fromX, toX: fromX + wide, fromY: t.y, toY: t.y + t.heightMm };
};

type Box = ReturnType<typeof boxOf>;
const apart = (a: Box, b: Box): boolean => a.toX <= b.fromX || b.toX <= a.fromX || a.toY <= b.fromY || b.toY <= a.fromY;
/** No text is on another, and none on the frame or beyond it. */
function keepApart(sheet: Sheet): void {
  const texts = textsOf(sheet).map((t) => ({ said: t.text, box: boxOf(t) }));
  const inFrame = ({ fromX, toX, fromY, toY }: Box): boolean =>
    fromX > 10 && toX < SHEET_MM.width - 10 && fromY > 10 && toY < SHEET_MM.height - 10;
  expect(texts.filter((t) => !inFrame(t.box)).map((t) => t.said)).toEqual([]);
  const touching = texts.flatMap((t, i) => texts.slice(i + 1).flatMap((o) => (apart(t.box, o.box) ? [] : [[t.said, o.said]])));
  expect(touching).toEqual([]);
}

const random = seededRandom(31);
/** Parts of a few cuts. */
const PARTS = Array.from({ length: 60 }, () => anyPart(random)).map((p): Part => ({ ...p, features: p.features.slice(0, 9) }));

it('stays inside its frame, at a usual scale, and no two texts touch', () => {
  for (const part of PARTS) {
    const sheet = sheetOf(
      part,
      part.features.map((f) => `${f.name}: something of sixty letters that is said of it, more or less`),
    );
    keepApart(sheet);
  }
});

it('a shaft of forty cuts goes on one sheet: its notes stand in two columns, and nothing is on anything', () => {
  const steps = Array.from({ length: 10 }, (_, i) => surface(`s${i}`, 'cylinder', `Step ${i + 1}`, 24, 30 + (i % 3) * 4));
  const edges = [...steps, ...steps].flatMap((s, n) =>
    (['left', 'right'] as const).map((end) => ({
      id: `${s.id}-${end}-${n}`,
      kind: 'chamfer',
      on: s.id,
      name: `Chamfer ${s.name} ${end}`,
      end,
      lengthMm: 1,
      angleDeg: 45,
    })),
  ) as PartFeature[];
  const part: Part = { ...newPart('plain-pin', 'Many', 30, 240), outside: steps, features: edges };
  const sheet = sheetOf(
    part,
    edges.map((f, i) => `(${i + 1}) ${f.name} on ${f.on}: along the axis 0.800 to 1.200, to the axis 45°, broken by hand`),
  );
  keepApart(sheet);
  const title = { fromX: SHEET_MM.width - 134, toX: SHEET_MM.width - 10, fromY: 10, toY: 58 };
  const notes = textsOf(sheet).filter((t) => /^\(\d+\) Chamfer/.test(t.text));
  expect(notes).toHaveLength(40);
  expect(notes.every((n) => apart(boxOf(n), title))).toBe(true);
});

it('no line of a text runs through another text', () => {
  for (const part of PARTS) {
    const sheet = sheetOf(part);
    const texts = textsOf(sheet).map(boxOf);
    const upright = sheet.primitives.flatMap((p) => (p.kind === 'path' && p.style === 'size' && p.points.length === 2 ? [p.points] : []));
    for (const [from, to] of upright as [[number, number], [number, number]][])
      for (const t of texts) {
        const through =
          from[0] > t.fromX + 0.01 && from[0] < t.toX && Math.min(from[1], to[1]) < t.fromY && Math.max(from[1], to[1]) > t.toY;
        expect(through).toBe(false);
      }
  }
});

it('in true size the contour lies where the part has it', () => {
  for (const part of PARTS.slice(0, 20)) {
    const true_ = inTrueSize(sheetOf(part));
    const edge = true_.primitives.filter((p) => p.kind === 'path' && p.style === 'edge') as Extract<Primitive, { kind: 'path' }>[];
    const points = outline(part);
    const own = edge.find((p) => p.points.length === points.length + 2 && Math.abs(p.points[1]![1] - points[0]!.r) < 1e-6)!;
    points.forEach((q, i) => {
      expect(own.points[i + 1]![0]).toBeCloseTo(q.x, 6);
      expect(own.points[i + 1]![1]).toBeCloseTo(q.r, 6);
    });
  }
});

it('has a view along the axis where clock angles differ, by the number of what lies there', () => {
  const key = {
    kind: 'keyseat',
    cutter: 'end-mill',
    widthMm: 6,
    depthMm: 3.5,
    cutterMm: 50,
    open: 'none',
    timedTo: '',
    name: 'Key',
    on: 'body',
  } as const;
  const two = (deg: number): Part => ({
    ...newPart('plain-pin', 'Shaft', 20, 100),
    features: [
      { ...key, id: 'k1', atMm: 10, lengthMm: 20, clockDeg: 0 },
      { ...key, id: 'k2', atMm: 60, lengthMm: 20, clockDeg: deg },
    ] as PartFeature[],
  });
  const said = (p: Part): string[] => textsOf(sheetOf(p)).map((t) => t.text);
  expect(said(two(90))).toEqual(expect.arrayContaining(['seen from the right end', '(1) 0°', '(2) 90°']));
  expect(said(two(0))).not.toContain('seen from the right end');
  // Clockwise from above, seen from the right: a quarter on lies to the right.
  const sheet = sheetOf(two(90));
  const at = (t: string): Text => textsOf(sheet).find((x) => x.text === t)!;
  expect(at('(2) 90°').x).toBeGreaterThan(at('(1) 0°').x);
  expect(at('(2) 90°').y).toBeLessThan(at('(1) 0°').y);
});

it('cuts at near clock angles have each a text of its own, none on another, inside the frame', () => {
  const key = {
    kind: 'keyseat',
    cutter: 'end-mill',
    lengthMm: 8,
    widthMm: 6,
    depthMm: 3.5,
    cutterMm: 50,
    open: 'none',
    timedTo: '',
    name: 'Key',
    on: 'body',
  };
  const turn = seededRandom(7);
  for (let n = 0; n < 40; n++) {
    const about = Math.floor(360 * turn());
    const angles = Array.from({ length: 2 + (n % 6) }, () => (about + Math.floor(30 * turn())) % 360);
    const part: Part = {
      ...newPart('plain-pin', 'Shaft', 20 + 60 * turn(), 100),
      features: angles.map((clockDeg, i) => ({ ...key, id: `k${i}`, atMm: 2 + 12 * i, clockDeg })) as unknown as PartFeature[],
    };
    const sheet = sheetOf(part);
    for (const deg of new Set(angles))
      if (new Set(angles).size > 1) expect(textsOf(sheet).some((t) => t.text.endsWith(` ${deg}°`))).toBe(true);
    keepApart(sheet);
  }
});

it('a keyway in a bore is shown along the axis as wide and as deep as it is, though nothing is timed', () => {
  const hub: Part = {
    ...newPart('plain-pin', 'Hub', 80, 50),
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 0, 30)] }],
    features: [
      {
        id: 'k',
        kind: 'keyway',
        on: 'hole',
        name: 'Keyway',
        cutter: 'broach',
        widthMm: 8,
        overMm: 33.3,
        taper: 'none',
        clockDeg: 0,
        timedTo: '',
      },
    ],
  };
  const sheet = sheetOf(hub);
  expect(textsOf(sheet).map((t) => t.text)).toContain('seen from the right end');
  const circle = sheet.primitives.find((p) => p.kind === 'circle' && Math.abs(p.r / sheet.scale - 15) < 1e-6) as Extract<
    Primitive,
    { kind: 'circle' }
  >;
  const slot = sheet.primitives.find(
    (p) =>
      p.kind === 'path' &&
      p.style === 'edge' &&
      p.points.length === 4 &&
      p.points.every(([x]) => Math.abs(Math.abs(x - circle.x) - 4 * sheet.scale) < 1e-6),
  ) as Extract<Primitive, { kind: 'path' }>;
  // From the opposite wall of the bore to the roof.
  expect((Math.max(...slot.points.map(([, y]) => y)) - (circle.y - circle.r)) / sheet.scale).toBeCloseTo(33.3, 6);
});

it('cuts nothing off in its title block: long names have smaller letters', () => {
  const long = 'Chrome-molybdenum steel, normalised, from the second heat of the lot (25CrMo4, 4130)';
  const name = 'Intermediate shaft of the second gearbox of the ferry, drive side, with keyseats a quarter apart';
  const part = newPart('plain-pin', name, 20, 100);
  const sheet = partSheet(part, { title: 't', name, fields: [['material', long]], notes: [], diameters: {}, place: String, numbers: {} });
  for (const words of [long, name]) {
    const box = boxOf(textsOf(sheet).find((t) => t.text === words)!);
    expect(box.toX).toBeLessThan(SHEET_MM.width - 10);
  }
});

it('a long shaft is drawn smaller, a small pin larger', () => {
  expect(sheetOf(newPart('plain-pin', 'Long', 60, 1200)).scale).toBeLessThanOrEqual(0.2);
  expect(sheetOf(newPart('plain-pin', 'Small', 4, 12)).scale).toBeGreaterThanOrEqual(5);
  const many: Part = {
    ...newPart('plain-pin', 'Many', 20, 100),
    features: [],
    outside: Array.from({ length: 16 }, (_, i) => surface(`s${i}`, 'cylinder', `Step ${i}`, 3 + (i % 3), 20 + (i % 4) * 4)),
  };
  expect(sheetOf(many).primitives.length).toBeGreaterThan(60);
});
