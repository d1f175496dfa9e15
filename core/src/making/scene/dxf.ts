import type { LineStyle, Primitive, Scene } from './scene';

/** Layer of each style: a program that reads the file can turn them off one by one. */
const LAYERS: Readonly<Record<LineStyle | 'text', string>> = {
  edge: 'PART',
  thin: 'DETAIL',
  hidden: 'HIDDEN',
  centre: 'CENTRE',
  size: 'SIZES',
  treated: 'TREATED',
  frame: 'SHEET',
  text: 'TEXT',
};

type Pair = readonly [code: number, value: string | number];

const num = (v: number): string => v.toFixed(6);
const point = (x: number, y: number, at = 0): Pair[] => [
  [10 + at, num(x)],
  [20 + at, num(y)],
  [30 + at, num(0)],
];

/** Plain ASCII: other signs as the format writes them. */
const ascii = (text: string): string =>
  [...text.replaceAll('⌀', '%%c').replaceAll('±', '%%p').replaceAll('°', '%%d')]
    .map((c) => (c.codePointAt(0)! < 128 ? c : `\\U+${c.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`))
    .join('');

function entity(p: Primitive, write: (text: string) => string): Pair[] {
  switch (p.kind) {
    case 'path': {
      const all = p.closed ? [...p.points, p.points[0]!] : p.points;
      return all.slice(1).flatMap(([x, y], i): Pair[] => {
        const [fx, fy] = all[i]!;
        return [[0, 'LINE'], [8, LAYERS[p.style]], ...point(fx, fy), ...point(x, y, 1)];
      });
    }
    case 'area':
      // Areas only hatch and hide: the lines stand for themselves.
      return [];
    case 'circle':
      return [[0, 'CIRCLE'], [8, LAYERS[p.style]], ...point(p.x, p.y), [40, num(p.r)]];
    case 'text': {
      const middle: Pair[] = p.anchor === 'middle' ? [[72, 1], ...point(p.x, p.y, 1)] : [];
      return [[0, 'TEXT'], [8, LAYERS.text], ...point(p.x, p.y), [40, num(p.heightMm)], [1, ascii(write(p.text))], ...middle];
    }
  }
}

/** A scene as DXF, revision 12 (AC1009), in millimetres: what every program reads. */
export function sceneDxf(scene: Scene, write: (text: string) => string = (t) => t): string {
  const pairs: Pair[] = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    [9, '$EXTMIN'],
    ...point(scene.fromX, scene.fromY),
    [9, '$EXTMAX'],
    ...point(scene.toX, scene.toY),
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...scene.primitives.flatMap((p) => entity(p, write)),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
  return pairs.map(([code, value]) => `${String(code).padStart(3)}\r\n${value}\r\n`).join('');
}
