import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { catalogueFile, languageOf, readCatalogue } from './catalogue';
import { inMarkedLetters } from './marked';
import { put } from './put';
import { sourcesBelow } from './sources';

/**
 * What `./iron-patch words` and a build in other words call.
 *
 * `take ROOT FILE LANGUAGE` writes the catalogue, or brings it up to date; `mark ROOT FILE` fills one with marked letters; `put ROOT FILE OUT`
 * writes the sources in its words below OUT.
 */
const [act, root = '', file = '', more = ''] = process.argv.slice(2);
const sources = sourcesBelow(root);

/** Where the language itself is said. */
const NAMED_IN = [
  ['core/src/terms/words/language.ts', /(LANGUAGE = ')[\w-]+(')/],
  ['web/src/index.html', /(<html lang=")[\w-]+(")/],
] as const;

function writeSources(): void {
  const read = readCatalogue(readFileSync(file), sources);
  if (read.wrong.length) throw new Error(`${file} cannot be built:\n${read.wrong.join('\n')}`);
  for (const { path, text, sites } of sources) {
    mkdirSync(dirname(join(more, path)), { recursive: true });
    writeFileSync(join(more, path), put(text, sites, read.said));
  }
  for (const [file, at] of NAMED_IN) {
    const path = join(more, file);
    writeFileSync(
      path,
      readFileSync(path, 'utf8').replace(at, (_, before: string, after: string) => `${before}${read.language}${after}`),
    );
  }
  console.log(`${read.done} of ${read.of} sentences are in ${read.language}; the rest stays English.`);
}

function writeCatalogue(): void {
  const before = existsSync(file) ? readFileSync(file) : null;
  writeFileSync(file, catalogueFile(sources, more || (before ? languageOf(before) : 'en'), before));
  const { done, of, wrong } = readCatalogue(readFileSync(file), sources);
  console.log([`${file}: ${of} sentences, ${done} said.`, ...wrong.map((w) => `Wrong: ${w}`)].join('\n'));
}

if (act === 'take') writeCatalogue();
else if (act === 'mark') writeFileSync(file, inMarkedLetters(catalogueFile(sources, 'en', null)));
else if (act === 'put') writeSources();
else throw new Error(`Unknown: ${act}.`);
