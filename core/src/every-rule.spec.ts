interface Files {
  readonly readdirSync: (folder: string, how: { recursive: true; encoding: 'utf8' }) => string[];
  readonly readFileSync: (file: string, encoding: 'utf8') => string;
}
const { readdirSync, readFileSync } = jest.requireActual<Files>('node:fs');

const dirname = (file: string): string => file.slice(0, Math.max(file.lastIndexOf('/'), 0));
const here = dirname(expect.getState().testPath!);
const files = readdirSync(here, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'));
const textOf = (file: string): string => readFileSync(`${here}/${file}`, 'utf8');
/** What the specs of each folder say, in one. */
const specs = new Map<string, string>();
for (const file of files) if (file.endsWith('.spec.ts')) specs.set(dirname(file), (specs.get(dirname(file)) ?? '') + textOf(file));

/** Functions that a file has for others: what it knows how to work out. */
const rulesOf = (file: string): string[] =>
  [...textOf(file).matchAll(/^export (?:function\*? (\w+)|const (\w+)(?:: [^=]+)? = (?:<[^>]+>)?\()/gm)].map(([, a, b]) => (a ?? b)!);

const ruled = files.filter((f) => !/(\.spec|\.bench)\.ts$/.test(f) && !/(^|\/)testing/.test(f) && rulesOf(f).length > 0);

it('reads the house as it is', () => expect(ruled.length).toBeGreaterThan(250));

it.each(ruled)('%s has a spec of its own beside it, or one that names something of it', (file) => {
  if (files.includes(file.replace(/\.ts$/, '.spec.ts'))) return;
  const said = specs.get(dirname(file)) ?? '';
  expect(rulesOf(file).filter((name) => new RegExp(`\\b${name}\\b`).test(said))).not.toEqual([]);
});
