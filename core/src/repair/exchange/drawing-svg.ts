import { outline, partLengthMm, placeSegments, type TurnedPart } from '../../making/part';
import { formatLength, inMark, type DecimalMark, type LengthUnit } from '../../terms/quantity';

/** What a drawing sheet says beside the lines. */
export interface DrawingSheet {
  readonly part: TurnedPart;
  readonly unit: LengthUnit;
  readonly title: string;
  /** How the shop writes decimals. */
  readonly mark: DecimalMark;
  /** Limits by segment id, mm. */
  readonly limits: Readonly<Record<string, { readonly lowerMm: number; readonly upperMm: number }>>;
}

const MARGIN_MM = 30;
const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/**
 * The part as a drawing in true size: half section above the centre line, outside below, lengths from the zero face.
 * SVG 1.1, one user unit a millimetre.
 */
export function drawingSvg({ part, unit, title, mark, limits }: DrawingSheet): string {
  const points = outline(part);
  const length = partLengthMm(part);
  const radius = Math.max(...points.map((p) => p.r));
  const width = length + 2 * MARGIN_MM;
  const height = 2 * radius + 2 * MARGIN_MM;
  const n = (v: number): string => v.toFixed(3);
  const closed = [{ x: 0, r: 0 }, ...points, { x: length, r: 0 }];
  const path = (sign: 1 | -1): string => closed.map((p, i) => `${i ? 'L' : 'M'}${n(p.x)} ${n(sign * p.r)}`).join(' ') + ' Z';
  const boreDepth = part.bore ? (part.bore.depthMm ?? length) : 0;
  const bore = part.bore
    ? `<rect x="0" y="${n(-part.bore.diameterMm / 2)}" width="${n(boreDepth)}" height="${n(part.bore.diameterMm / 2)}" fill="#fff" stroke="#000"/>`
    : '';
  const text = (x: number, y: number, words: string, anchor = 'middle'): string =>
    `<text x="${n(x)}" y="${n(y)}" font-size="3.5" text-anchor="${anchor}" font-family="sans-serif" stroke="none" fill="#000">${escape(inMark(words, mark))}</text>`;
  const placed = placeSegments(part);
  const sizes = placed.map((s, i) => {
    const l = limits[s.id];
    const band = l ? ` ${formatLength(l.lowerMm, unit)} to ${formatLength(l.upperMm, unit)}` : ` ${formatLength(s.diameterMm, unit)}`;
    return text((s.fromMm + s.toMm) / 2, -radius - 6 - (i % 3) * 5, `${s.name} ⌀${band}`);
  });
  const lengths = placed.map((s) => {
    const y = radius + 6;
    return `<path d="M${n(s.toMm)} ${n(s.diameterMm / 2 + 1)} V${n(y + 2)}"/>${text(s.toMm, y + 6, formatLength(s.toMm, unit, unit === 'mm' ? 2 : 3))}`;
  });
  const holes = part.crossHoles.map((h) => `<circle cx="${n(h.atMm)}" cy="0" r="${n(h.diameterMm / 2)}"/>`);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${n(-MARGIN_MM)} ${n(-radius - MARGIN_MM)} ${n(width)} ${n(height)}">`,
    `<title>${escape(title)}</title>`,
    '<defs><pattern id="section" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0 V2" stroke="#000" stroke-width="0.15"/></pattern></defs>',
    '<g fill="none" stroke="#000" stroke-width="0.35">',
    `<path d="${path(-1)}" fill="url(#section)"/>`,
    `<path d="${path(1)}"/>`,
    bore,
    ...holes,
    `<path d="M-8 0 H${n(length + 8)}" stroke-width="0.18" stroke-dasharray="6 1.5 1 1.5"/>`,
    ...sizes,
    ...lengths,
    text(0, radius + MARGIN_MM - 4, `${title}, ${unit}, lengths from the zero face`, 'start'),
    '</g></svg>',
  ].join('\n');
}
