import { outline, partLengthMm, partLines, type LineStyle, type Part } from '@iron-patch/core';
import { CONTENT_PT, PAGE, type Paper } from './paper';

const HEIGHT_PT = 130;
const INK = '#1B211F';
const WIDTHS_PT: Readonly<Record<LineStyle, number>> = { edge: 0.9, thin: 0.6, centre: 0.4, size: 0.4 };
/** Distance of hatching lines, pt. */
const HATCH_PT = 5;

/** The part's lines on the page: cut open above the centre line, from outside below. */
export function drawPart({ doc }: Paper, part: Part): void {
  const length = partLengthMm(part);
  const radius = Math.max(...outline(part).map((p) => p.r));
  const scale = Math.min((CONTENT_PT - 40) / length, (HEIGHT_PT - 20) / (2 * radius));
  const left = PAGE.marginPt + (CONTENT_PT - length * scale) / 2;
  const axis = doc.y + HEIGHT_PT / 2;
  const x = (mm: number): number => left + mm * scale;
  const y = (mm: number): number => axis - mm * scale;
  const path = (points: readonly (readonly [number, number])[], closed: boolean): void => {
    points.forEach(([px, py], i) => (i ? doc.lineTo(x(px), y(py)) : doc.moveTo(x(px), y(py))));
    if (closed) doc.closePath();
  };
  doc.save();
  for (const p of partLines(part)) {
    if (p.kind === 'area' && p.fill === 'paper') {
      path(p.points, true);
      doc.fill('#FFFFFF');
    } else if (p.kind === 'area') {
      doc.save();
      path(p.points, true);
      doc.clip().lineWidth(0.25).strokeColor(INK);
      const reach = length * scale + HEIGHT_PT;
      for (let at = left - HEIGHT_PT; at < left + reach; at += HATCH_PT)
        doc
          .moveTo(at, axis)
          .lineTo(at + HEIGHT_PT / 2, axis - HEIGHT_PT / 2)
          .stroke();
      doc.restore();
    } else if (p.kind === 'path') {
      doc.lineWidth(WIDTHS_PT[p.style]).strokeColor(INK);
      if (p.style === 'centre') doc.dash(8, { space: 2 });
      path(p.points, p.closed);
      doc.stroke().undash();
    } else if (p.kind === 'circle') {
      doc
        .lineWidth(WIDTHS_PT[p.style])
        .strokeColor(INK)
        .circle(x(p.x), y(p.y), p.r * scale)
        .stroke();
    }
  }
  doc.restore();
  doc.y = axis + HEIGHT_PT / 2;
}
