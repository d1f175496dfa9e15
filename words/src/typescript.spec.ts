import { runInNewContext } from 'node:vm';
import ts from 'typescript';
import { put, type Said } from './put';
import { asItIs, sourceOf, textsOf } from './testing';

/** Runs a module's text and gives back what it exports. */
function run(text: string): Record<string, (...given: unknown[]) => unknown> {
  const exports = {};
  const js = ts.transpileModule(text, { compilerOptions: { module: ts.ModuleKind.CommonJS, target: ts.ScriptTarget.ES2022 } }).outputText;
  runInNewContext(js, { exports });
  return exports;
}

it.each<[string, string, string[]]>([
  ['a sentence', `export const a = 'The bar is too short.';`, ['The bar is too short.']],
  ['one with values', 'export const a = (n: number, of: string) => `${n} of ${of} read`;', ['{1} of {2} read']],
  ['a heading', `export const a = { title: 'Rack' };`, ['Rack']],
  [
    'arms within a sentence, one by one',
    'export const a = (b: boolean) => `it is ${b ? "bent" : "straight"} here`;',
    ['it is {1} here', 'bent', 'straight'],
  ],
  [
    'a word in a table of words',
    `export const KIND_WORDS: Record<'buy' | 'make', string> = { buy: 'buy', make: 'make' };`,
    ['buy', 'make'],
  ],
  ['a counted noun', `import { countOf } from './b'; export const a = countOf(3, 'inch', 'inches');`, ['inch']],
  ['heads of a table', `export const a = { head: ['Station', 'mean'] };`, ['Station', 'mean']],
])('is wording: %s', (_, text, found) => {
  expect(textsOf(sourceOf(text, 'export const countOf = (n: number, ...of: string[]) => `${n}${of}`;'))).toEqual(found);
});

it.each<[string, string]>([
  ['what a type names', `export type Way = 'from the bar' | 'two ends'; export const a: Way = 'two ends';`],
  ['what is compared', `export const a = (s: string) => s === 'Not Known';`],
  ['a property', `export const a = { 'Not Known': 1 }; export const b = a['Not Known'];`],
  ['a module', `export * from './b';`],
  ['a statement', `declare const db: { run(s: string): void }; db.run('select a from b where c = $1'); export {};`],
  ['a unit, a size, an address', `export const a = ['mm', 'M12', 'h6', '/api/jobs', 'image/png'];`],
  ['a bug', `export const a = () => { throw new Error('A place without a part.'); };`],
  ['a style', `export const a = (e: { style: (p: string, v: string) => void }) => e.style('Color', 'Red Ink');`],
])('is no wording: %s', (_, text) => expect(textsOf(sourceOf(text))).toEqual([]));

const SENTENCE = 'export const a = (n: number, of: string) => `${n} of ${of.length > 2 ? `the \\`${of}\\`` : "it"} read`;';

it('says it otherwise, values in another order and some words within them', () => {
  const { text, sites } = sourceOf(SENTENCE);
  const said: Said = ({ text: t }) => ({ '{1} of {2} read': ['gelesen von {2}: {1}'], 'the `{1}`': ['`{1}` ${}\\'] })[t] ?? null;
  expect(run(put(text, sites, said))['a']!(3, 'bore')).toBe('gelesen von `bore` ${}\\: 3');
});

it.each([
  [1, 'it'],
  [2, 'bore'],
])('means the same where everything is said as it is: %d, %s', (n, of) => {
  const { text, sites } = sourceOf(SENTENCE);
  expect(run(put(text, sites, asItIs))['a']!(n, of)).toBe(run(text)['a']!(n, of));
});

it('gives a counted noun as many forms as a language has', () => {
  const { text, sites } = sourceOf(
    `declare function countOf(n: number, ...of: string[]): string; export const a = () => countOf(3, 'bar');`,
  );
  expect(sites).toMatchObject([{ text: 'bar', many: 'bars' }]);
  expect(put(text, sites, () => ['pręt', 'pręty', 'prętów'])).toContain('countOf(3, "pręt", "pręty", "prętów")');
});
