import { outline, partLengthMm, type TurnedPart } from '@iron-patch/core';
import { CONTENT_PT, PAGE, type Paper } from './paper';

const HEIGHT_PT = 130;

/** The part's outline on the page: half section above the centre line, outside below. */
export function drawPart({ doc }: Paper, part: TurnedPart): void {
  const points = outline(part);
  const length = partLengthMm(part);
  const radius = Math.max(...points.map((p) => p.r));
  const scale = Math.min((CONTENT_PT - 40) / length, (HEIGHT_PT - 20) / (2 * radius));
  const left = PAGE.marginPt + (CONTENT_PT - length * scale) / 2;
  const axis = doc.y + HEIGHT_PT / 2;
  const contour = (sign: 1 | -1): void => {
    doc.moveTo(left, axis);
    for (const p of points) doc.lineTo(left + p.x * scale, axis + sign * p.r * scale);
    doc.lineTo(left + length * scale, axis).stroke();
  };
  doc.lineWidth(0.9).strokeColor('#1B211F');
  contour(-1);
  contour(1);
  if (part.bore) {
    const r = (part.bore.diameterMm / 2) * scale;
    doc.rect(left, axis - r, (part.bore.depthMm ?? length) * scale, r).stroke();
  }
  for (const h of part.crossHoles) doc.circle(left + h.atMm * scale, axis, (h.diameterMm / 2) * scale).stroke();
  doc
    .lineWidth(0.4)
    .dash(8, { space: 2 })
    .moveTo(left - 14, axis)
    .lineTo(left + length * scale + 14, axis)
    .stroke()
    .undash();
  doc.y = axis + HEIGHT_PT / 2;
}
