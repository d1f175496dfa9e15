import type { LineStyle, Primitive, Scene } from './scene';

const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
const n = (v: number): string => v.toFixed(3);

const STROKES: Readonly<Record<LineStyle, string>> = {
  edge: 'stroke-width="0.35"',
  thin: 'stroke-width="0.25"',
  hidden: 'stroke-width="0.18" stroke-dasharray="2 1"',
  centre: 'stroke-width="0.18" stroke-dasharray="6 1.5 1 1.5"',
  size: 'stroke-width="0.18"',
  frame: 'stroke-width="0.35"',
  treated: 'stroke-width="0.7" stroke-dasharray="6 1.5 1 1.5"',
};
const FILLS = { section: 'url(#section)', outside: 'none', paper: '#fff' } as const;

const line = (points: readonly (readonly [number, number])[], closed: boolean): string =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(-y)}`).join(' ') + (closed ? ' Z' : '');

function element(p: Primitive, write: (text: string) => string): string {
  switch (p.kind) {
    case 'path':
      return `<path d="${line(p.points, p.closed)}" ${STROKES[p.style]}/>`;
    case 'area':
      return `<path d="${line(p.points, true)}" stroke="none" fill="${FILLS[p.fill]}"/>`;
    case 'circle':
      return `<circle cx="${n(p.x)}" cy="${n(-p.y)}" r="${n(p.r)}" ${STROKES[p.style]}/>`;
    case 'text':
      return `<text x="${n(p.x)}" y="${n(-p.y)}" font-size="${p.heightMm}" text-anchor="${p.anchor}" font-family="sans-serif" stroke="none" fill="#000">${escape(write(p.text))}</text>`;
  }
}

/**
 * A scene as SVG 1.1, one user unit a millimetre.
 *
 * @param write how a text is written down: the shop's decimal mark
 */
export function sceneSvg(scene: Scene, write: (text: string) => string = (t) => t): string {
  const [width, height] = [scene.toX - scene.fromX, scene.toY - scene.fromY];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${n(scene.fromX)} ${n(-scene.toY)} ${n(width)} ${n(height)}">`,
    `<title>${escape(scene.title)}</title>`,
    '<defs><pattern id="section" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0 V2" stroke="#000" stroke-width="0.15"/></pattern></defs>',
    '<g fill="none" stroke="#000">',
    ...scene.primitives.map((p) => element(p, write)),
    '</g></svg>',
  ].join('\n');
}
