import type { JobSheet } from '@iron-patch/core';
import { CAUTIONS, chosenReturn } from '@iron-patch/core';
import PDFDocument from 'pdfkit';
import QRCode from 'qrcode';
import { printable } from './page';

/** A tie-on tag: 90 x 50 mm. */
const PT_PER_MM = 72 / 25.4;
const WIDTH_PT = 90 * PT_PER_MM;
const HEIGHT_PT = 50 * PT_PER_MM;
const MARGIN_PT = 4 * PT_PER_MM;
const CODE_PT = 30 * PT_PER_MM;

/** The dark squares of a QR code as one path; a picture would blur when a label printer scales it. */
function drawCode(doc: PDFKit.PDFDocument, text: string, x: number, y: number, sizePt: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const square = sizePt / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) doc.rect(x + column * square, y + row * square, square, square);
  doc.fill('#000000');
}

/**
 * The tag that is tied to the thing: number, what it is, whose, and a code that opens its sheet.
 *
 * @param address of the job's sheet, as the person who prints it reached the shop
 */
export function label(sheet: JobSheet, address: string): Promise<Buffer> {
  const { job, customer } = sheet;
  const doc = new PDFDocument({ size: [WIDTH_PT, HEIGHT_PT], margin: 0, info: { Title: `Tag ${job.number}`, Creator: 'Iron Patch' } });
  const done = new Promise<Buffer>((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  const textPt = WIDTH_PT - CODE_PT - 3 * MARGIN_PT;
  const line = (text: string, y: number, sizePt: number, font: string, lines = 1, colour = '#000000'): void => {
    doc
      .font(font)
      .fontSize(sizePt)
      .fillColor(colour)
      .text(printable(text), MARGIN_PT, y, { width: textPt, height: lines * sizePt * 1.25, ellipsis: true });
  };
  line(String(job.number), MARGIN_PT, 34, 'Helvetica-Bold');
  line(job.title, MARGIN_PT + 38, 12, 'Helvetica-Bold', 2);
  line(customer.name, MARGIN_PT + 70, 10, 'Helvetica');
  const pieces = `${job.pieces} piece${job.pieces === 1 ? '' : 's'}${job.promisedOn ? `, for ${job.promisedOn}` : ''}`;
  line(pieces, MARGIN_PT + 84, 10, 'Helvetica');
  const handed = chosenReturn(sheet);
  if (handed?.outcome === 'not-passed') {
    doc.rect(0, MARGIN_PT + 78, textPt + 1.5 * MARGIN_PT, HEIGHT_PT).fill('#000000');
    line('NOT PASSED', MARGIN_PT + 80, 17, 'Helvetica-Bold', 1, '#ffffff');
    line(`Before use: ${handed.beforeUse}`, MARGIN_PT + 100, 8, 'Helvetica-Bold', 2, '#ffffff');
  } else {
    const caution = job.hazards.map((h) => CAUTIONS[h].what).join(' ');
    if (caution) line(caution, MARGIN_PT + 98, 8, 'Helvetica-Bold', 2);
  }
  drawCode(doc, address, WIDTH_PT - CODE_PT - MARGIN_PT, MARGIN_PT, CODE_PT);
  doc.end();
  return done;
}
