import type { LineStyle, Primitive } from '@iron-patch/core';
import { printed } from './fonts';

const INK = '#1B211F';
const WIDTHS_PT: Readonly<Record<LineStyle, number>> = {
  edge: 0.9,
  thin: 0.6,
  hidden: 0.4,
  centre: 0.4,
  size: 0.4,
  treated: 1.6,
  frame: 0.9,
};
const DASH_PT: Partial<Record<LineStyle, readonly [on: number, off: number]>> = { hidden: [3, 2], centre: [8, 2], treated: [8, 2] };
/** Distance of hatching lines, pt. */
const HATCH_PT = 5;

/** Where a scene lies on a page, and how large: points from its millimetres. */
export interface OnPage {
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly scale: number;
  /** Height of a text, pt. */
  readonly letters: (mm: number) => number;
  readonly write: (text: string) => string;
}

/** The corners of an area on the page, pt. */
function bounds(points: readonly (readonly [number, number])[], { x, y }: OnPage): readonly [number, number, number, number] {
  const [xs, ys] = [points.map(([px]) => x(px)), points.map(([, py]) => y(py))];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/** Draws a scene's primitives, one after another, as every renderer does. */
export function drawScene(doc: PDFKit.PDFDocument, primitives: readonly Primitive[], at: OnPage): void {
  const { x, y, scale } = at;
  const path = (points: readonly (readonly [number, number])[], closed: boolean): void => {
    points.forEach(([px, py], i) => (i ? doc.lineTo(x(px), y(py)) : doc.moveTo(x(px), y(py))));
    if (closed) doc.closePath();
  };
  const stroke = (style: LineStyle, shape: () => void): void => {
    doc.lineWidth(WIDTHS_PT[style]).strokeColor(INK);
    const dash = DASH_PT[style];
    if (dash) doc.dash(dash[0], { space: dash[1] });
    shape();
    doc.stroke().undash();
  };
  const hatch = (points: readonly (readonly [number, number])[]): void => {
    doc.save();
    path(points, true);
    doc.clip().lineWidth(0.25).strokeColor(INK);
    const [left, top, right, bottom] = bounds(points, at);
    for (let from = left - (bottom - top); from < right; from += HATCH_PT)
      doc
        .moveTo(from, bottom)
        .lineTo(from + (bottom - top), top)
        .stroke();
    doc.restore();
  };
  doc.save();
  for (const p of primitives) {
    if (p.kind === 'area') {
      if (p.fill === 'section') hatch(p.points);
      else if (p.fill === 'paper') {
        path(p.points, true);
        doc.fill('#FFFFFF');
      }
    } else if (p.kind === 'path') stroke(p.style, () => path(p.points, p.closed));
    else if (p.kind === 'circle') stroke(p.style, () => doc.circle(x(p.x), y(p.y), p.r * scale));
    else {
      const size = at.letters(p.heightMm);
      const { text, file } = printed(at.write(p.text), 'regular');
      doc.font(file).fillColor(INK).fontSize(size);
      const left = p.anchor === 'middle' ? x(p.x) - doc.widthOfString(text) / 2 : x(p.x);
      doc.text(text, left, y(p.y) - size, { lineBreak: false });
    }
  }
  doc.restore();
}
