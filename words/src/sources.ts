import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import type { Site } from './site';
import { sitesOfTemplate } from './template';
import { keysOf, sitesOfTypeScript } from './typescript';

/** What is built: the demo's and the gauge's own texts are data. */
const FOLDERS = ['core/src', 'contract/src', 'server/src', 'web/src'];
const LEFT = /\.spec\.ts$|\.bench\.ts$|\.d\.ts$|\/testing(\/|\.ts$)/;

/** A source file and the wording in it. */
export interface Source {
  /** From the root, with slashes. */
  readonly path: string;
  readonly text: string;
  readonly sites: readonly Site[];
}

function filesBelow(root: string, folder: string): string[] {
  return readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .map((e) => relative(root, join(e.parentPath, e.name)).replaceAll('\\', '/'))
    .filter((f) => !LEFT.test(f))
    .sort();
}

/** Every source of the product with its wording. */
export function sourcesBelow(root: string): Source[] {
  const files = FOLDERS.flatMap((f) => filesBelow(root, f));
  const ours = files.filter((f) => f.endsWith('.ts'));
  const { config } = ts.readConfigFile(join(root, 'web/tsconfig.json'), (f) => readFileSync(f, 'utf8')) as { config: unknown };
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, join(root, 'web'));
  const program = ts.createProgram(
    ours.map((f) => join(root, f)),
    { ...options, types: ['node'], noEmit: true },
  );
  return [
    ...wordingOf(program, root, ours),
    ...pagesOf(
      root,
      files.filter((f) => f.endsWith('.html') && f !== 'web/src/index.html'),
    ),
  ];
}

const pagesOf = (root: string, files: readonly string[]): Source[] =>
  files.map((path) => {
    const text = readFileSync(join(root, path), 'utf8');
    return { path, text, sites: sitesOfTemplate(text, path) };
  });

/** The wording of a program's own files, templates of components with it. */
export function wordingOf(program: ts.Program, root: string, paths: readonly string[]): Source[] {
  const checker = program.getTypeChecker();
  const files = paths.map((p) => program.getSourceFile(join(root, p))!);
  const keys = keysOf(files, checker);
  return files.map((file, i) => ({
    path: paths[i]!,
    text: file.text,
    sites: [
      ...sitesOfTypeScript(file, checker, keys),
      ...templatesOf(file).flatMap((t) => sitesOfTemplate(file.text, paths[i]!, t, true)),
    ].sort((p, q) => p.start - q.start || q.end - p.end),
  }));
}

/** Where the templates of a file's components stand, within their quotes. */
export function templatesOf(file: ts.SourceFile): { start: number; end: number }[] {
  const found: { start: number; end: number }[] = [];
  const visit = (n: ts.Node): void => {
    if (ts.isPropertyAssignment(n) && n.name.getText() === 'template' && ts.isStringLiteralLike(n.initializer) && inDecorator(n))
      found.push({ start: n.initializer.getStart() + 1, end: n.initializer.getEnd() - 1 });
    ts.forEachChild(n, visit);
  };
  visit(file);
  return found;
}

const inDecorator = (n: ts.Node): boolean => !!ts.findAncestor(n, ts.isDecorator);
