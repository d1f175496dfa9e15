import type { AST, TmplAstBoundAttribute, TmplAstTextAttribute } from '@angular/compiler';
import {
  ASTWithSource,
  Binary,
  Call,
  Conditional,
  Interpolation,
  LiteralPrimitive,
  ParenthesizedExpression,
  PropertyRead,
  parseTemplate,
  TmplAstBoundText,
  TmplAstElement,
  TmplAstText,
  type ParseSourceSpan,
} from '@angular/compiler';
import type { Gap, Part, Site, Stretch } from './site';
import { hasWord, isSmallWord, isWording } from './wording';

/** Attributes and inputs that somebody reads or hears. */
const READ = new Set(
  'placeholder aria-label aria-description aria-valuetext alt title label caption heading save act action spoken nzTitle'.split(' '),
);
/** Elements round words of a sentence. */
const INLINE = new Set('a abbr b code em i kbd label small span strong sub sup br'.split(' '));
/** Where nodes of a template keep others. */
const WITHIN = ['children', 'branches', 'cases', 'groups', 'empty', 'placeholder', 'loading', 'error'] as const;

/** How words are written at a place of a template, before the file's own rules. */
type Writing = (parts: readonly Part[]) => string;

const words = (part: Part, written: (words: string) => string): string => ('words' in part ? written(part.words) : part.source);
const joined =
  (written: (words: string) => string): Writing =>
  (parts) =>
    parts.map((p) => words(p, written)).join('');
const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  '{': '&#123;',
  '}': '&#125;',
  '@': '&#64;',
};
const asHtml = (text: string): string => text.replace(/[&<>"{}@]/g, (c) => ENTITIES[c]!);
/** In an expression, which stands between quotes of its own within an attribute. */
const quoted = (text: string): string => `'${text.replace(/[\\'"]/g, (c) => (c === '\\' ? '\\\\' : c === "'" ? '\\u0027' : '\\u0022'))}'`;
/** Words and values put together by a plus. */
const summed: Writing = (parts) => parts.map((p) => ('words' in p ? quoted(p.words) : `(${p.source})`)).join(' + ');

const spanOf = (s: ParseSourceSpan): Stretch => ({ start: s.start.offset, end: s.end.offset });
const bare = (ast: AST): AST =>
  ast instanceof ASTWithSource ? bare(ast.ast as AST) : ast instanceof ParenthesizedExpression ? bare(ast.expression) : ast;
const isWords = (ast: AST): ast is LiteralPrimitive => ast instanceof LiteralPrimitive && typeof ast.value === 'string';
/** As the browser shows it: any white space is one space. */
const tidy = (text: string): string => text.replace(/[ \t\r\n]+/g, ' ');

/**
 * The wording in an Angular template: texts with the values and the inline elements in them as one sentence, attributes that are read, texts of
 * expressions.
 *
 * @param source the whole file
 * @param at where the template stands in it; all of it where it is left out
 * @param inline it stands in a literal of a TypeScript file, whose escapes hold in it
 */
export function sitesOfTemplate(source: string, name: string, at: Stretch = { start: 0, end: source.length }, inline = false): Site[] {
  const before = source.slice(0, at.start).split('\n');
  const range = { startPos: at.start, startLine: before.length - 1, startCol: before.at(-1)!.length, endPos: at.end };
  const parsed = parseTemplate(source, name, { range, escapedString: inline, preserveWhitespaces: true });
  if (parsed.errors?.length) throw new Error(`${name}: ${parsed.errors[0]!.msg}`);
  const sites: Site[] = [];

  function add(where: Stretch, text: string, gaps: readonly Gap[], written: Writing, many?: string): void {
    sites.push({
      ...where,
      text,
      gaps,
      ...(many === undefined ? {} : { many }),
      line: source.slice(0, where.start).split('\n').length,
      write: (parts) => (inline ? sheltered(parts, written) : written(parts)),
    });
  }

  /** `{{ … }}` round an expression. */
  const bracesOf = (ast: AST): Stretch => ({
    start: source.lastIndexOf('{{', ast.sourceSpan.start),
    end: source.indexOf('}}', ast.sourceSpan.end) + 2,
  });

  function texts(nodes: readonly (TmplAstText | TmplAstBoundText | TmplAstElement)[]): void {
    const gaps: Gap[] = [];
    let count = 0;
    const sentence = (node: TmplAstText | TmplAstBoundText | TmplAstElement): string => {
      if (node instanceof TmplAstText) return node.value;
      if (node instanceof TmplAstBoundText) {
        const ast = bare(node.value);
        if (!(ast instanceof Interpolation)) return '';
        return ast.strings.map((s, i) => s + (i < ast.expressions.length ? gap(bracesOf(ast.expressions[i]!)) : '')).join('');
      }
      const opened = gap(spanOf(node.startSourceSpan));
      const inside = (node.children as TmplAstElement[]).map(sentence).join('');
      if (!node.endSourceSpan || node.endSourceSpan.start.offset === node.startSourceSpan.start.offset) return opened;
      const own = opened.slice(1, -1);
      gaps.push({ name: `/${own}`, ...spanOf(node.endSourceSpan) });
      return `${opened}${inside}{/${own}}`;
    };
    const gap = (where: Stretch): string => {
      gaps.push({ name: `${++count}`, ...where });
      return `{${count}}`;
    };
    const text = tidy(nodes.map(sentence).join('')).trim();
    if (hasWord(text)) add(stretchOf(nodes), text, gaps, joined(asHtml));
  }

  /** From the first letter to the last: white space round a sentence stays as it is. */
  function stretchOf(nodes: readonly { sourceSpan: ParseSourceSpan }[]): Stretch {
    const [first, last] = [nodes[0]!.sourceSpan.fullStart.offset, nodes.at(-1)!.sourceSpan.end.offset];
    const written = source.slice(first, last);
    return { start: first + written.length - written.trimStart().length, end: last - written.length + written.trimEnd().length };
  }

  function attribute(a: TmplAstTextAttribute): void {
    if (READ.has(a.name) && a.valueSpan && hasWord(a.value)) add(spanOf(a.valueSpan), a.value, [], joined(asHtml));
  }

  function input(a: TmplAstBoundAttribute): void {
    const ast = bare(a.value);
    if (!(ast instanceof Interpolation)) return expression(ast, READ.has(a.name));
    if (!READ.has(a.name) || !a.valueSpan) return;
    const gaps = ast.expressions.map((e, i) => ({ name: `${i + 1}`, ...bracesOf(e) }));
    const text = ast.strings.map((s, i) => s + (i < gaps.length ? `{${i + 1}}` : '')).join('');
    if (hasWord(text)) add(spanOf(a.valueSpan), text, gaps, joined(asHtml));
    for (const e of ast.expressions) expression(bare(e), true);
  }

  /** @param read what it comes to is read, so that one small word in it is wording too */
  function expression(ast: AST, read: boolean): void {
    if (isWords(ast)) {
      if (isWording(ast.value as string) || (read && isSmallWord(ast.value as string)))
        add(ast.sourceSpan, ast.value as string, [], joined(quoted));
    } else if (ast instanceof Conditional) {
      expression(bare(ast.trueExp), read);
      expression(bare(ast.falseExp), read);
    } else if (ast instanceof Binary && /^(\?\?|\|\||&&)$/.test(ast.operation)) {
      if (ast.operation !== '&&') expression(bare(ast.left), read);
      expression(bare(ast.right), read);
    } else if (ast instanceof Binary && ast.operation === '+') sum(ast, read);
    else if (ast instanceof Call) counted(ast);
  }

  /** `countOf(n, 'bar')`: the noun in as many forms as the language has. */
  function counted(ast: Call): void {
    const [, one, many] = ast.args;
    if (!(ast.receiver instanceof PropertyRead) || ast.receiver.name !== 'countOf' || !one || !isWords(one)) return;
    const text = one.value as string;
    const other = many && isWords(many) ? (many.value as string) : `${text}s`;
    const listed: Writing = (parts) => parts.map((p) => words(p, quoted)).join(', ');
    add({ start: one.sourceSpan.start, end: (many ?? one).sourceSpan.end }, text, [], listed, other);
  }

  /** `'Marker ' + (i + 1) + ': ' + words(m)` is one sentence with two gaps. */
  function sum(ast: Binary, read: boolean): void {
    const terms: AST[] = [];
    const take = (a: AST): void => {
      if (a instanceof Binary && a.operation === '+') {
        take(a.left);
        take(a.right);
      } else terms.push(a);
    };
    take(ast);
    const gaps: Gap[] = [];
    const text = terms
      .map((t) => {
        if (isWords(t)) return t.value as string;
        gaps.push({ name: `${gaps.length + 1}`, ...t.sourceSpan });
        return `{${gaps.length}}`;
      })
      .join('');
    if (read && hasWord(text)) add({ start: terms[0]!.sourceSpan.start, end: terms.at(-1)!.sourceSpan.end }, text, gaps, summed);
    for (const t of terms) if (!isWords(t)) expression(bare(t), read);
  }

  function visit(node: unknown): void {
    if (!node || typeof node !== 'object') return;
    if (node instanceof TmplAstElement) {
      node.attributes.forEach(attribute);
      node.inputs.forEach(input);
    }
    if (node instanceof TmplAstBoundText) {
      const ast = bare(node.value);
      if (ast instanceof Interpolation) for (const e of ast.expressions) expression(bare(e), true);
    }
    for (const key of WITHIN) {
      const inside = (node as Record<string, unknown>)[key];
      if (Array.isArray(inside)) inside.forEach(visit);
      else visit(inside);
    }
    const { children } = node as { children?: readonly unknown[] };
    if (Array.isArray(children)) runs(children);
  }

  const isInline = (n: unknown): n is TmplAstText | TmplAstBoundText | TmplAstElement =>
    n instanceof TmplAstText ||
    n instanceof TmplAstBoundText ||
    (n instanceof TmplAstElement && INLINE.has(n.name) && n.children.every(isInline));

  /** Texts that stand side by side, with the elements in them, are one sentence. */
  function runs(children: readonly unknown[]): void {
    let run: (TmplAstText | TmplAstBoundText | TmplAstElement)[] = [];
    const end = (): void => {
      const own = run.some((n) => !(n instanceof TmplAstElement) && hasWord(n instanceof TmplAstText ? n.value : wordsOf(n)));
      if (own) texts(run);
      run = [];
    };
    for (const child of children) {
      if (isInline(child)) run.push(child);
      else end();
    }
    end();
  }

  parsed.nodes.forEach(visit);
  runs(parsed.nodes);
  return outermost(sites);
}

const wordsOf = (node: TmplAstBoundText): string => {
  const ast = bare(node.value);
  return ast instanceof Interpolation ? ast.strings.join(' {1} ') : '';
};

/** Sites in order; of two that overlap without one lying in a gap of the other only the outer one stays. */
function outermost(sites: readonly Site[]): Site[] {
  const inOrder = [...sites].sort((p, q) => p.start - q.start || q.end - p.end);
  return inOrder.filter(
    (s, i) =>
      !inOrder
        .slice(0, i)
        .some((o) => o.start <= s.start && s.end <= o.end && o !== s && !o.gaps.some((g) => g.start <= s.start && s.end <= g.end)),
  );
}

/** What a literal of a TypeScript file needs besides: the words are new, the source in the gaps stands in one already. */
function sheltered(parts: readonly Part[], written: Writing): string {
  const kept: string[] = [];
  const marked = parts.map((p): Part => {
    if ('words' in p) return p;
    kept.push(p.source);
    return { source: `\uE000${kept.length - 1}\uE000` };
  });
  return written(marked)
    .replace(/[\\`]/g, '\\$&')
    .replace(/\$\{/g, '\\${')
    .replace(/\uE000(\d+)\uE000/g, (_, i: string) => kept[Number(i)]!);
}
