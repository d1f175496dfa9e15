import { boundsOf, partLines, type LineStyle, type Part, type Primitive } from '@iron-patch/core';
import { CONTENT_PT, PAGE, type Paper } from './paper';

const HEIGHT_PT = 130;
/** Three views want more room than one. */
const VIEWS_HEIGHT_PT = 260;
const INK = '#1B211F';
const WIDTHS_PT: Readonly<Record<LineStyle, number>> = { edge: 0.9, thin: 0.6, hidden: 0.4, centre: 0.4, size: 0.4, treated: 1.6 };
const DASH_PT: Partial<Record<LineStyle, readonly [on: number, off: number]>> = { hidden: [3, 2], centre: [8, 2], treated: [8, 2] };
/** Distance of hatching lines, pt. */
const HATCH_PT = 5;
const TEXT_PT = 9;

/** The part's lines on the page: a turned one cut open above the centre line, from outside below; a block in three views. */
export function drawPart({ doc }: Paper, part: Part): void {
  const lines = partLines(part);
  const box = boundsOf(lines);
  const [width, height] = [box.toX - box.fromX, box.toY - box.fromY];
  const heightPt = part.block ? VIEWS_HEIGHT_PT : HEIGHT_PT;
  const scale = Math.min((CONTENT_PT - 40) / width, (heightPt - 20) / height);
  const left = PAGE.marginPt + (CONTENT_PT - width * scale) / 2;
  const middle = doc.y + heightPt / 2;
  const x = (mm: number): number => left + (mm - box.fromX) * scale;
  const y = (mm: number): number => middle - (mm - (box.fromY + box.toY) / 2) * scale;
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
    const reach = width * scale + heightPt;
    for (let at = left - heightPt; at < left + reach; at += HATCH_PT)
      doc
        .moveTo(at, middle)
        .lineTo(at + heightPt / 2, middle - heightPt / 2)
        .stroke();
    doc.restore();
  };
  const draw = (p: Primitive): void => {
    switch (p.kind) {
      case 'area':
        if (p.fill === 'section') return hatch(p.points);
        if (p.fill === 'outside') return;
        path(p.points, true);
        doc.fill('#FFFFFF');
        return;
      case 'path':
        return stroke(p.style, () => path(p.points, p.closed));
      case 'circle':
        return stroke(p.style, () => doc.circle(x(p.x), y(p.y), p.r * scale));
      case 'text':
        doc
          .fillColor(INK)
          .fontSize(TEXT_PT)
          .text(p.text, x(p.x), y(p.y) - TEXT_PT, { lineBreak: false });
    }
  };
  const below = doc.y + heightPt;
  doc.save();
  for (const p of lines) draw(p);
  doc.restore();
  doc.x = PAGE.marginPt;
  doc.y = below;
}
