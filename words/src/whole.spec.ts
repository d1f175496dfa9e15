import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import ts from 'typescript';
import { catalogueFile, readCatalogue } from './catalogue';
import { inMarkedLetters } from './marked';
import { put } from './put';
import { sourcesBelow, templatesOf, type Source } from './sources';
import { sitesOfTemplate } from './template';

/** The product itself in other words: whatever is a key and no wording would be missed somewhere. */
const ROOT = resolve(__dirname, '../..');
const PATIENCE_MS = 240_000;
let sources: readonly Source[];
beforeAll(() => {
  sources = sourcesBelow(ROOT);
}, PATIENCE_MS);

it(
  'reads the same where everything is said as it is',
  () => {
    const changed = sources.filter(({ path, text, sites }) => {
      const again = put(text, sites, (s) => (s.many === undefined ? [s.text] : null));
      if (path.endsWith('.html')) return textsIn(sitesOfTemplate(again, path)) !== textsIn(sites);
      const file = ts.createSourceFile(path, again, ts.ScriptTarget.ES2022, true);
      const was = ts.createSourceFile(path, text, ts.ScriptTarget.ES2022, true);
      return shapeOf(file) !== shapeOf(was) || inTemplates(file) !== inTemplates(was);
    });
    expect(changed.map((s) => s.path)).toEqual([]);
  },
  PATIENCE_MS,
);

/** The sentences of the templates in a file's components. */
const inTemplates = (file: ts.SourceFile): string =>
  textsIn(templatesOf(file).flatMap((t) => sitesOfTemplate(file.text, file.fileName, t, true)));
const textsIn = (sites: readonly { readonly text: string }[]): string => sites.map((s) => s.text).join('\n');

/** What a file's code says, whatever quotes and templates it says it with. */
function shapeOf(file: ts.SourceFile): string {
  const said: string[] = [];
  const visit = (n: ts.Node): void => {
    if (ts.isDecorator(n)) return;
    if (ts.isStringLiteralLike(n)) said.push(`text ${n.text}`);
    else if (ts.isTemplateExpression(n))
      said.push(`text ${[n.head, ...n.templateSpans.map((s) => s.literal)].map((t) => t.text).join('|')}`);
    else if (!ts.isTemplateHead(n) && !ts.isTemplateMiddleOrTemplateTail(n)) said.push(ts.SyntaxKind[n.kind]);
    ts.forEachChild(n, visit);
  };
  visit(file);
  return said.join('\n');
}

it(
  'compiles in marked letters: no word of it is a key that the program asks for',
  () => {
    const { said } = readCatalogue(inMarkedLetters(catalogueFile(sources, 'en', null)), sources);
    const marked = new Map(sources.map((s) => [join(ROOT, s.path), put(s.text, s.sites, said)]));
    const { options, fileNames } = ts.parseJsonConfigFileContent(
      ts.readConfigFile(join(ROOT, 'tsconfig.node.json'), (f) => readFileSync(f, 'utf8')).config,
      ts.sys,
      ROOT,
    );
    const host = ts.createCompilerHost(options);
    const program = ts.createProgram(
      [...fileNames.filter((f) => f.endsWith('.d.ts')), ...marked.keys()].filter((f) => /\/(core|contract|server)\/.*\.ts$/.test(f)),
      { ...options, types: ['node', 'pdfkit'] },
      {
        ...host,
        getSourceFile: (f, target) =>
          marked.has(f) ? ts.createSourceFile(f, marked.get(f)!, target, true) : host.getSourceFile(f, target),
        realpath: (f) => f.replace(/^(.*)\/node_modules\/@iron-patch\/(\w+)\//, '$1/$2/'),
      },
    );
    const wrong = program.getSemanticDiagnostics().filter((d) => d.file && marked.has(d.file.fileName));
    expect(wrong.map((d) => `${d.file!.fileName}: ${ts.flattenDiagnosticMessageText(d.messageText, ' ').slice(0, 200)}`)).toEqual([]);
  },
  PATIENCE_MS,
);
