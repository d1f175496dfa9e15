import ts from 'typescript';
import { wordingOf, type Source } from './sources';

/** The wording of one file that stands nowhere but here, checked against the standard library. */
export function sourceOf(text: string, declared = ''): Source {
  const options: ts.CompilerOptions = { strict: true, noEmit: true, target: ts.ScriptTarget.ES2022, types: [] };
  const host = ts.createCompilerHost(options);
  const files: Readonly<Record<string, string>> = { '/here/a.ts': text, '/here/b.ts': declared };
  const program = ts.createProgram(Object.keys(files), options, {
    ...host,
    fileExists: (f) => f in files || host.fileExists(f),
    getSourceFile: (f, target) =>
      Object.hasOwn(files, f) ? ts.createSourceFile(f, files[f]!, target, true) : host.getSourceFile(f, target),
  });
  return wordingOf(program, '/here', ['a.ts', 'b.ts'])[0]!;
}

/** Texts of a source as a translator sees them. */
export const textsOf = (s: Source): string[] => s.sites.map((site) => site.text);

/** Everything said as it is: what is written so means what stood there. */
export const asItIs = (site: { readonly text: string; readonly many?: string }): string[] =>
  site.many === undefined ? [site.text] : [site.text, site.many];
