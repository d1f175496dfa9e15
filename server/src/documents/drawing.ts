import type { Sheet } from '@iron-patch/core';
import PDFDocument from 'pdfkit';
import { drawScene } from './scene-on-paper';

const PAGE_PT = { width: 841.89, height: 595.28 } as const;
/** Letters of a scene are told by their capitals' height, a face by its whole. */
const FACE_SHARE = 1.25;

/** A drawing sheet as a PDF page, A4 lying: a sheet of that size as it is, another scene made to fit. */
export function drawingPdf(sheet: Sheet, write: (text: string) => string): Promise<Buffer> {
  const doc = new PDFDocument({ size: 'A4', layout: 'landscape', margin: 0, info: { Title: sheet.title, Creator: 'Iron Patch' } });
  const done = new Promise<Buffer>((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (c: Buffer) => chunks.push(c));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  const [width, height] = [sheet.toX - sheet.fromX, sheet.toY - sheet.fromY];
  const scale = Math.min(PAGE_PT.width / width, PAGE_PT.height / height);
  const [left, top] = [(PAGE_PT.width - width * scale) / 2, (PAGE_PT.height - height * scale) / 2];
  drawScene(doc, sheet.primitives, {
    x: (mm) => left + (mm - sheet.fromX) * scale,
    y: (mm) => PAGE_PT.height - top - (mm - sheet.fromY) * scale,
    scale,
    letters: (mm) => mm * scale * FACE_SHARE,
    write,
  });
  doc.end();
  return done;
}
