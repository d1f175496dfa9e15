import PDFDocument from 'pdfkit';

export type Pdf = PDFKit.PDFDocument;

export const PAGE = { marginPt: 42, widthPt: 595.28, heightPt: 841.89 } as const;
export const CONTENT_PT = PAGE.widthPt - 2 * PAGE.marginPt;
const INK = '#1B211F';
const QUIET = '#55605B';
const HAIRLINE = '#C9CFC8';
/** Nothing is written below this; what does not fit is said to be on the screen. */
const LOWEST_PT = PAGE.heightPt - 56;
const LINE_PT = 13;

/**
 * The standard PDF fonts hold Latin-1 only: a character outside it is written as its nearest plain letters or `?`, so that a
 * name in another script does not break the page.
 */
export const printable = (text: string): string =>
  text
    .replace(/[⌀ø]/g, 'dia ')
    .replace(/[‘’]/g, "'")
    .replace(/[“”″]/g, '"')
    .replace(/[–—]/g, '-')
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^\n\x20-\x7e\u00a0-\u00ff]/g, '?');

export const newPage = (title: string): Pdf => {
  const doc = new PDFDocument({
    size: 'A4',
    margins: { top: PAGE.marginPt, left: PAGE.marginPt, right: PAGE.marginPt, bottom: 8 },
    info: { Title: printable(title), Creator: 'Iron Patch' },
  });
  doc.fillColor(INK);
  return doc;
};

/** The finished bytes of a document. */
export const toBuffer = (doc: Pdf): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
    doc.end();
  });

export function heading(doc: Pdf, number: number, title: string, sub: string): void {
  doc
    .font('Helvetica-Bold')
    .fontSize(24)
    .text(`${number}  ${printable(title)}`, { width: CONTENT_PT, height: 30, ellipsis: true });
  doc
    .font('Helvetica')
    .fontSize(10)
    .fillColor(QUIET)
    .text(printable(sub), { width: CONTENT_PT, height: 26, ellipsis: true })
    .fillColor(INK);
  doc.moveDown(0.4);
}

/** Large and first: white on black over the whole width. */
export function banner(doc: Pdf, title: string, text: string): void {
  const y = doc.y;
  const heightPt =
    34 +
    doc
      .font('Helvetica-Bold')
      .fontSize(12)
      .heightOfString(printable(text), { width: CONTENT_PT - 20 });
  doc.rect(PAGE.marginPt, y, CONTENT_PT, heightPt + 8).fill('#000000');
  doc
    .fillColor('#ffffff')
    .fontSize(20)
    .text(title, PAGE.marginPt + 10, y + 8, { lineBreak: false });
  doc.fontSize(12).text(printable(text), PAGE.marginPt + 10, y + 32, { width: CONTENT_PT - 20 });
  doc.fillColor(INK);
  doc.y = y + heightPt + 12;
}

const full = new WeakSet<Pdf>();

/** Whether that much more fits on the page; says once that the rest is on the screen. */
function fits(doc: Pdf, heightPt: number): boolean {
  if (!full.has(doc) && doc.y + heightPt <= LOWEST_PT) return true;
  if (!full.has(doc)) {
    full.add(doc);
    doc
      .font('Helvetica')
      .fontSize(9)
      .text('There is more than one page holds: the rest is on the screen.', PAGE.marginPt, LOWEST_PT + 4, { lineBreak: false });
  }
  return false;
}

export function section(doc: Pdf, title: string): void {
  if (!fits(doc, 3 * LINE_PT)) return;
  doc.moveDown(0.5);
  const y = doc.y;
  doc
    .moveTo(PAGE.marginPt, y)
    .lineTo(PAGE.marginPt + CONTENT_PT, y)
    .lineWidth(0.5)
    .strokeColor(HAIRLINE)
    .stroke();
  doc
    .font('Helvetica-Bold')
    .fontSize(11)
    .text(title, PAGE.marginPt, y + 4);
  doc.moveDown(0.15);
}

export function paragraph(doc: Pdf, text: string, sizePt = 9.5): void {
  if (!fits(doc, LINE_PT)) return;
  doc
    .font('Helvetica')
    .fontSize(sizePt)
    .text(printable(text), PAGE.marginPt, doc.y, { width: CONTENT_PT, height: LOWEST_PT - doc.y, ellipsis: true });
}

/** A table of plain rows; the first column left, the rest right. Rows below `lowestPt` are counted, not squeezed. */
export function table(
  doc: Pdf,
  header: readonly string[],
  rows: readonly (readonly string[])[],
  widths: readonly number[],
  lowestPt = LOWEST_PT - 2 * LINE_PT,
): void {
  if (!fits(doc, 3 * LINE_PT)) return;
  doc.moveDown(0.35);
  const total = widths.reduce((s, w) => s + w, 0);
  const draw = (cells: readonly string[], font: string): void => {
    const y = doc.y;
    let x = PAGE.marginPt;
    doc.font(font).fontSize(9);
    cells.forEach((cell, i) => {
      const width = (widths[i]! / total) * CONTENT_PT;
      doc.text(printable(cell), x, y, { width: width - 6, align: i === 0 ? 'left' : 'right', height: 11, ellipsis: true });
      x += width;
    });
    doc.y = y + LINE_PT;
  };
  draw(header, 'Helvetica-Bold');
  for (const [i, row] of rows.entries()) {
    if (doc.y > lowestPt) return paragraph(doc, `and ${rows.length - i} more, on the screen.`);
    draw(row, 'Helvetica');
  }
}
