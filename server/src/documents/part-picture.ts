import { boundsOf, partLines, type Part } from '@iron-patch/core';
import { CONTENT_PT, PAGE, type Paper } from './paper';
import { drawScene } from './scene-on-paper';

const HEIGHT_PT = 130;
/** Three views want more room than one. */
const VIEWS_HEIGHT_PT = 260;
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
  const below = doc.y + heightPt;
  drawScene(doc, lines, {
    x: (mm) => left + (mm - box.fromX) * scale,
    y: (mm) => middle - (mm - (box.fromY + box.toY) / 2) * scale,
    scale,
    letters: () => TEXT_PT,
    write: (text) => text,
  });
  doc.x = PAGE.marginPt;
  doc.y = below;
}
