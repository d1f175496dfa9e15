import PDFDocument from 'pdfkit';

export type Pdf = PDFKit.PDFDocument;

export const PAGE = { marginPt: 42, widthPt: 595.28, heightPt: 841.89 } as const;
export const CONTENT_PT = PAGE.widthPt - 2 * PAGE.marginPt;
const INK = '#1B211F';
const QUIET = '#55605B';
const HAIRLINE = '#C9CFC8';

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
  const doc = new PDFDocument({ size: 'A4', margin: PAGE.marginPt, info: { Title: printable(title), Creator: 'Iron Patch' } });
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

export function section(doc: Pdf, title: string): void {
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
  doc.font('Helvetica').fontSize(sizePt).text(printable(text), PAGE.marginPt, doc.y, { width: CONTENT_PT });
}

/** A table of plain rows; the first column left, the rest right. Rows that do not fit on the page are counted, not squeezed. */
export function table(
  doc: Pdf,
  header: readonly string[],
  rows: readonly (readonly string[])[],
  widths: readonly number[],
  lowestPt = PAGE.heightPt - 90,
): void {
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
    doc.y = y + 13;
  };
  draw(header, 'Helvetica-Bold');
  for (const [i, row] of rows.entries()) {
    if (doc.y > lowestPt) {
      paragraph(doc, `and ${rows.length - i} more, on the screen.`);
      return;
    }
    draw(row, 'Helvetica');
  }
}
