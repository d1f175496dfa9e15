import { po } from 'gettext-parser';
import { catalogueFile, formsOf, readCatalogue } from './catalogue';
import { inMarkedLetters } from './marked';
import type { Source } from './sources';
import { sourceOf } from './testing';

const source: Source = sourceOf(
  'declare function countOf(n: number, ...of: string[]): string; export const a = (n: number) => `${countOf(n, "bar")} in ${n} places`; export const b = "Rack it.";',
);

/** The file with something said in it. */
function said(file: Buffer, words: Readonly<Record<string, string[]>>): Buffer {
  const parsed = po.parse(file);
  for (const [text, forms] of Object.entries(words)) parsed.translations['']![text]!.msgstr = forms;
  return po.compile(parsed);
}

it('lists every sentence with where it stands, and nouns with a place for each form', () => {
  const entries = po.parse(catalogueFile([source], 'pl', null)).translations['']!;
  expect(Object.keys(entries).sort()).toEqual(['', 'Rack it.', 'bar', '{1} in {2} places']);
  expect(entries['bar']).toMatchObject({ msgid_plural: 'bars', msgstr: ['', '', '', ''], comments: { reference: 'a.ts:1' } });
});

it('keeps what was said when it is brought up to date', () => {
  const before = said(catalogueFile([source], 'de', null), { 'Rack it.': ['Ins Regal.'] });
  expect(po.parse(catalogueFile([source], 'de', before)).translations['']!['Rack it.']!.msgstr).toEqual(['Ins Regal.']);
});

it('names what is wrong, and leaves it English', () => {
  const file = said(catalogueFile([source], 'de', null), {
    '{1} in {2} places': ['{1} an {3} Stellen'],
    bar: ['Stange', ''],
    'Rack it.': ['Ins Regal.'],
  });
  const read = readCatalogue(file, [source]);
  expect(read.wrong).toEqual(['“{1} in {2} places”: its gaps are 1 2, and here 1 3.', '“bar”: 2 forms are needed, 1 said.']);
  expect([read.done, read.of, read.language]).toEqual([1, 3, 'de']);
});

it.each([
  ['en', ['one', 'other']],
  ['pl', ['one', 'few', 'many', 'other']],
  ['ja', ['other']],
])('counts in %s by %j, as Unicode has it', (language, forms) => expect(formsOf(language)).toEqual(forms));

it('marks every letter and no gap', () => {
  const read = readCatalogue(inMarkedLetters(catalogueFile([source], 'en', null)), [source]);
  expect([read.wrong, read.done]).toEqual([[], 3]);
  expect(read.said(source.sites[0]!)).toEqual(['{1} íñ {2} ƥĺàćéś']);
});
