import { inMark, type DecimalMark } from '@iron-patch/core';
import PDFDocument from 'pdfkit';
import { printed, type Weight } from './fonts';

export const PAGE = { marginPt: 42, widthPt: 595.28, heightPt: 841.89 } as const;
export const CONTENT_PT = PAGE.widthPt - 2 * PAGE.marginPt;
const INK = '#1B211F';
const QUIET = '#55605B';
const HAIRLINE = '#C9CFC8';
/** Nothing but the foot is written below this. */
const LOWEST_PT = PAGE.heightPt - 52;
const CELL_GAP_PT = 6;
const ROW_GAP_PT = 2.5;
/** Height that photographs on a paper fit into. */
const PICTURE_PT = 190;
/** A title stands with at least that much of what follows it. */
const KEPT_TOGETHER_PT = 60;

interface Style {
  readonly weight?: Weight;
  readonly sizePt?: number;
  readonly colour?: string;
}

/** A paper of A4 pages, as many as it needs: nothing is cut off, heads of tables come again, every page says which of how many it is. */
export class Paper {
  readonly doc: PDFKit.PDFDocument;
  private readonly title: string;

  /** @param mark how the shop writes decimals; what people wrote themselves stays */
  constructor(
    title: string,
    private readonly mark: DecimalMark,
  ) {
    this.title = title;
    this.doc = new PDFDocument({
      size: 'A4',
      bufferPages: true,
      margins: { top: PAGE.marginPt, left: PAGE.marginPt, right: PAGE.marginPt, bottom: PAGE.heightPt - LOWEST_PT },
      info: { Title: title, Creator: 'Iron Patch' },
    });
    this.doc.fillColor(INK);
  }

  /** A number and what it is, large; below it who and when, in their own words. */
  heading(number: number, title: string, sub: string): void {
    this.put(`${number}  ${title}`, { weight: 'bold', sizePt: 22 });
    this.put(sub, { sizePt: 10, colour: QUIET });
    this.doc.moveDown(0.4);
  }

  /** Large and first: white on black over the whole width. */
  banner(title: string, text: string): void {
    const { doc } = this;
    const width = CONTENT_PT - 20;
    const head = 34;
    const heightPt = head + this.height(text, width, { weight: 'bold', sizePt: 12 }) + 8;
    this.room(heightPt);
    const y = doc.y;
    doc.rect(PAGE.marginPt, y, CONTENT_PT, heightPt).fill('#000000');
    this.at(title, PAGE.marginPt + 10, y + 7, width, { weight: 'bold', sizePt: 20, colour: '#ffffff' });
    this.at(text, PAGE.marginPt + 10, y + head, width, { weight: 'bold', sizePt: 12, colour: '#ffffff' });
    doc.y = y + heightPt + 6;
  }

  section(title: string): void {
    const { doc } = this;
    this.room(KEPT_TOGETHER_PT);
    doc.moveDown(0.5);
    const y = doc.y;
    doc
      .moveTo(PAGE.marginPt, y)
      .lineTo(PAGE.marginPt + CONTENT_PT, y)
      .lineWidth(0.5)
      .strokeColor(HAIRLINE)
      .stroke();
    doc.y = y + 4;
    this.write(title, { weight: 'bold', sizePt: 11 });
    doc.moveDown(0.1);
  }

  paragraph(text: string, sizePt = 10): void {
    this.write(text, { sizePt });
  }

  /** What somebody wrote: numbers in it stay as they are. */
  quoted(text: string, sizePt = 10): void {
    this.put(text, { sizePt });
  }

  /** A table of plain rows; the first column left, the rest right. A row stays whole, and the head comes again on the next page. */
  table(header: readonly string[], rows: readonly (readonly string[])[], widths: readonly number[]): void {
    const total = widths.reduce((s, w) => s + w, 0);
    const columns = widths.map((w) => (w / total) * CONTENT_PT);
    const heightOf = (cells: readonly string[], style: Style): number =>
      Math.max(...cells.map((c, i) => this.height(inMark(c, this.mark), columns[i]! - CELL_GAP_PT, style))) + ROW_GAP_PT;
    const draw = (cells: readonly string[], style: Style): void => {
      const y = this.doc.y;
      let x = PAGE.marginPt;
      cells.forEach((cell, i) => {
        this.at(inMark(cell, this.mark), x, y, columns[i]! - CELL_GAP_PT, style, i === 0 ? 'left' : 'right');
        x += columns[i]!;
      });
      this.doc.x = PAGE.marginPt;
      this.doc.y = y + heightOf(cells, style);
    };
    const head: Style = { weight: 'bold', sizePt: 10 };
    const plain: Style = { sizePt: 10 };
    this.room(heightOf(header, head) + (rows[0] ? heightOf(rows[0], plain) : 0));
    this.doc.moveDown(0.3);
    draw(header, head);
    for (const row of rows) {
      if (this.room(heightOf(row, plain))) draw(header, head);
      draw(row, plain);
    }
  }

  /** Lines to be filled in by hand, side by side. */
  blanks(names: readonly string[]): void {
    const { doc } = this;
    const heightPt = 46;
    this.room(heightPt);
    const y = doc.y + 26;
    const width = CONTENT_PT / names.length;
    names.forEach((name, i) => {
      const x = PAGE.marginPt + i * width;
      doc
        .moveTo(x, y)
        .lineTo(x + width - 3 * CELL_GAP_PT, y)
        .lineWidth(0.75)
        .strokeColor(INK)
        .stroke();
      this.at(name, x, y + 3, width, { sizePt: 8, colour: QUIET });
    });
    doc.x = PAGE.marginPt;
    doc.y = y + 18;
  }

  /** Photographs side by side, each under what it is of. */
  pictures(all: readonly { readonly name: string; readonly jpeg: Buffer }[]): void {
    const { doc } = this;
    this.room(PICTURE_PT + 20);
    const y = doc.y;
    const width = CONTENT_PT / Math.max(2, all.length);
    all.forEach(({ name, jpeg }, i) => {
      const x = PAGE.marginPt + i * width;
      this.at(name, x, y, width, { weight: 'bold', sizePt: 10 });
      doc.image(jpeg, x, y + 15, { fit: [width - 2 * CELL_GAP_PT, PICTURE_PT] });
    });
    doc.x = PAGE.marginPt;
    doc.y = y + PICTURE_PT + 22;
  }

  /** The finished bytes, every page with its foot. */
  finish(): Promise<Buffer> {
    const { doc } = this;
    const { count } = doc.bufferedPageRange();
    for (let page = 0; page < count; page++) {
      doc.switchToPage(page);
      // The foot stands in the margin, where text would start another page.
      doc.page.margins.bottom = 0;
      this.at(count > 1 ? `${this.title}, page ${page + 1} of ${count}` : this.title, PAGE.marginPt, LOWEST_PT + 14, CONTENT_PT, {
        sizePt: 8,
        colour: QUIET,
      });
    }
    return toBuffer(doc);
  }

  /** What follows starts on a page of its own. */
  newPage(): void {
    this.doc.addPage();
  }

  /** Starts another page where less than that is left on this one; true where it did. */
  private room(heightPt: number): boolean {
    if (this.doc.y + heightPt <= LOWEST_PT || this.doc.y <= PAGE.marginPt) return false;
    this.doc.addPage();
    return true;
  }

  private write(text: string, style: Style): void {
    this.put(inMark(text, this.mark), style);
  }

  private put(text: string, style: Style): void {
    this.styled(text, style, (t) => this.doc.text(t, PAGE.marginPt, this.doc.y, { width: CONTENT_PT }));
  }

  private at(text: string, x: number, y: number, width: number, style: Style, align: 'left' | 'right' = 'left'): void {
    this.styled(text, style, (t) => this.doc.text(t, x, y, { width, align }));
  }

  private height(text: string, width: number, style: Style): number {
    return this.styled(text, style, (t) => this.doc.heightOfString(t, { width }));
  }

  private styled<T>(text: string, { weight = 'regular', sizePt = 10, colour = INK }: Style, draw: (text: string) => T): T {
    const to = printed(text, weight);
    this.doc.font(to.file).fontSize(sizePt).fillColor(colour);
    const done = draw(to.text);
    this.doc.fillColor(INK);
    return done;
  }
}

/** The finished bytes of a document. */
export const toBuffer = (doc: PDFKit.PDFDocument): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
    doc.end();
  });
