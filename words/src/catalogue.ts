import { po, type GetTextTranslation } from 'gettext-parser';
import { gapsIn, type Site } from './site';
import type { Source } from './sources';
import type { Said } from './put';

/** A catalogue of wording: what each sentence of the product is in one language, in the open format of gettext. */
export interface Catalogue {
  /** BCP 47, like `fr`. */
  readonly language: string;
  readonly said: Said;
  /** Sentences of the product that are said, and all of them. */
  readonly done: number;
  readonly of: number;
  /** What is wrong with it, each with its sentence. */
  readonly wrong: readonly string[];
}

const keyOf = (s: Site): string => s.text;
const ORDER = ['zero', 'one', 'two', 'few', 'many', 'other'];

/** The forms a language counts in, in the order they stand in a catalogue: `one`, `other`. */
export const formsOf = (language: string): string[] =>
  ORDER.filter((f) => (new Intl.PluralRules(language).resolvedOptions().pluralCategories as string[]).includes(f));

/** Of a catalogue file, BCP 47. */
export const languageOf = (file: Buffer): string => po.parse(file).headers['Language'] || 'en';

/**
 * The catalogue file of a product's wording, with what an older one of the same language said where the sentence still stands.
 *
 * @param before contents of the older file, or null
 */
export function catalogueFile(sources: readonly Source[], language: string, before: Buffer | null): Buffer {
  const old = before ? (po.parse(before).translations[''] ?? {}) : {};
  const entries: Record<string, GetTextTranslation> = {};
  for (const { path, sites } of sources)
    for (const s of sites) {
      const entry = (entries[keyOf(s)] ??= {
        msgid: s.text,
        ...(s.many === undefined ? {} : { msgid_plural: s.many }),
        msgstr: old[keyOf(s)]?.msgstr ?? (s.many === undefined ? [''] : formsOf(language).map(() => '')),
        comments: { reference: '', translator: old[keyOf(s)]?.comments?.translator ?? '', extracted: '', flag: '', previous: '' },
      });
      if (s.many !== undefined) entry.msgid_plural ??= s.many;
      entry.comments!.reference += `${entry.comments!.reference ? '\n' : ''}${path}:${s.line}`;
    }
  const headers = {
    'Content-Type': 'text/plain; charset=UTF-8',
    Language: language,
    'X-Counted-Forms': formsOf(language).join(' '),
  };
  return po.compile({ charset: 'utf-8', headers, translations: { '': entries } }, { foldLength: 110 });
}

/** Reads a catalogue for a product's wording, and says what is wrong with it. */
export function readCatalogue(file: Buffer, sources: readonly Source[]): Catalogue {
  const parsed = po.parse(file);
  const language = languageOf(file);
  const entries = parsed.translations[''] ?? {};
  const forms = formsOf(language).length;
  const wrong: string[] = [];
  const all = new Map(sources.flatMap((s) => s.sites).map((s) => [keyOf(s), s]));
  const good = new Map<string, readonly string[]>();
  for (const [text, site] of all) {
    const said = entries[text]?.msgstr ?? [];
    if (!said.some((m) => m !== '')) continue;
    const problem = problemWith(site, said, forms);
    if (problem) wrong.push(`“${text}”: ${problem}`);
    else good.set(text, said);
  }
  return {
    language,
    wrong,
    done: good.size,
    of: all.size,
    said: (s) => (s.many !== undefined && good.get(s.text)?.length === 1 ? null : (good.get(s.text) ?? null)),
  };
}

function problemWith(site: Site, said: readonly string[], forms: number): string | null {
  if (site.many !== undefined)
    return said.length === forms && said.every((m) => m !== '') ? null : `${forms} forms are needed, ${said.filter(Boolean).length} said.`;
  const [needed, there] = [gapsIn(site.text), gapsIn(said[0]!)].map((g) => [...g].sort().join(' '));
  return needed === there ? null : `its gaps are ${needed || 'none'}, and here ${there || 'none'}.`;
}
