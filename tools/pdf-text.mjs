/** Reads a PDF from stdin and prints the text of each page as a JSON list, as its fonts' own tables map glyphs back to signs. */
import { Buffer } from 'node:buffer';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const pdf = await getDocument({ data: new Uint8Array(Buffer.concat(chunks)), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= pdf.numPages; n++) {
  const { items } = await (await pdf.getPage(n)).getTextContent();
  pages.push(items.map((i) => i.str + (i.hasEOL ? '\n' : '')).join(''));
}
console.log(JSON.stringify(pages));
