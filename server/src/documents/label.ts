import { CAUTIONS, chosenReturn, countOf, dayWords, type JobSheet } from '@iron-patch/core';
import PDFDocument from 'pdfkit';
import QRCode from 'qrcode';
import { printed, type Weight } from './fonts';
import { toBuffer } from './paper';

/** A tie-on tag: 90 x 50 mm. */
const PT_PER_MM = 72 / 25.4;
const WIDTH_PT = 90 * PT_PER_MM;
const HEIGHT_PT = 50 * PT_PER_MM;
const MARGIN_PT = 4 * PT_PER_MM;
const CODE_PT = 30 * PT_PER_MM;
const TEXT_PT = WIDTH_PT - CODE_PT - 3 * MARGIN_PT;
/** Smaller than this nobody reads a tag on a hook. */
const LEAST_PT = 7;

/** The dark squares of a QR code as one path; a picture would blur when a label printer scales it. */
function drawCode(doc: PDFKit.PDFDocument, text: string, x: number, y: number, sizePt: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const square = sizePt / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) doc.rect(x + column * square, y + row * square, square, square);
  doc.fill('#000000');
}

/** A stretch of the tag that a text has to fit. */
interface Box {
  readonly y: number;
  readonly heightPt: number;
  readonly sizePt: number;
  readonly weight?: Weight;
  readonly colour?: string;
}

/** Writes a text as large as it fits its box, down to the least size; false where even so some of it had to go. */
function fitted(doc: PDFKit.PDFDocument, text: string, { y, heightPt, sizePt, weight = 'regular', colour = '#000000' }: Box): boolean {
  const to = printed(text, weight);
  doc.font(to.file).fillColor(colour);
  const heightAt = (size: number): number => doc.fontSize(size).heightOfString(to.text, { width: TEXT_PT });
  let size = sizePt;
  while (size > LEAST_PT && heightAt(size) > heightPt) size -= 0.5;
  const whole = heightAt(size) <= heightPt;
  doc.text(to.text, MARGIN_PT, y, { width: TEXT_PT, height: heightPt, ellipsis: true });
  return whole;
}

/** What the front has no room for, whole, on as many more tags as it takes. */
function overleaf(doc: PDFKit.PDFDocument, number: number, texts: readonly string[]): void {
  doc.addPage({ size: [WIDTH_PT, HEIGHT_PT], margin: MARGIN_PT });
  for (const [i, text] of [`${number}, overleaf`, ...texts].entries()) {
    const to = printed(text, i ? 'regular' : 'bold');
    doc
      .font(to.file)
      .fontSize(8)
      .fillColor('#000000')
      .text(to.text, { width: WIDTH_PT - 2 * MARGIN_PT });
  }
}

/**
 * The tag that is tied to the thing: number, what it is, whose, and a code that opens its sheet.
 *
 * @param address of the job's sheet, as the person who prints it reached the shop
 */
export function label(sheet: JobSheet, address: string): Promise<Buffer> {
  const { job, customer } = sheet;
  const doc = new PDFDocument({ size: [WIDTH_PT, HEIGHT_PT], margin: 0, info: { Title: `Tag ${job.number}`, Creator: 'Iron Patch' } });
  const cut: string[] = [];
  const put = (text: string, box: Box): void => {
    if (text && !fitted(doc, text, box)) cut.push(text);
  };
  put(String(job.number), { y: MARGIN_PT, heightPt: 38, sizePt: 32, weight: 'bold' });
  put(job.title, { y: MARGIN_PT + 37, heightPt: 32, sizePt: 12, weight: 'bold' });
  put(customer.name, { y: MARGIN_PT + 69, heightPt: 14, sizePt: 10 });
  put([countOf(job.pieces, 'piece'), job.promisedOn && `for ${dayWords(job.promisedOn)}`].filter(Boolean).join(', '), {
    ...{ y: MARGIN_PT + 83, heightPt: 14, sizePt: 10 },
  });
  const handed = chosenReturn(sheet);
  const foot = { heightPt: 20, sizePt: 8, weight: 'bold' } as const;
  if (handed?.outcome === 'not-passed') {
    doc.rect(0, MARGIN_PT + 78, TEXT_PT + 1.5 * MARGIN_PT, HEIGHT_PT).fill('#000000');
    put('NOT PASSED', { y: MARGIN_PT + 80, heightPt: 20, sizePt: 15, weight: 'bold', colour: '#ffffff' });
    put(`Before use: ${handed.beforeUse}`, { ...foot, y: MARGIN_PT + 99, colour: '#ffffff' });
  } else put(job.hazards.map((h) => CAUTIONS[h].what).join(' '), { ...foot, y: MARGIN_PT + 98 });
  drawCode(doc, address, WIDTH_PT - CODE_PT - MARGIN_PT, MARGIN_PT, CODE_PT);
  if (cut.length) overleaf(doc, job.number, cut);
  return toBuffer(doc);
}
