import ts from 'typescript';
import type { Gap, Part, Site } from './site';
import { hasWord, isSmallWord, isWording } from './wording';

type Text = ts.StringLiteral | ts.NoSubstitutionTemplateLiteral | ts.TemplateExpression;

/** Calls whose texts go to the browser, the database or the network, not to somebody. */
const MACHINERY = new Set(
  (
    'query querySelector querySelectorAll closest matches getElementById getAttribute setAttribute createElement attr style classed select ' +
    'selectAll append insert addEventListener removeEventListener on getItem setItem removeItem postMessage get post put delete patch ' +
    'split join startsWith endsWith includes indexOf replace replaceAll match test localeCompare createHash update digest set type header ' +
    'setHeader disable enable viewChild viewChildren contentChild setData getData getContext addColorStop transform font registerFont ' +
    'resolve require matchMedia setProperty getPropertyValue RegExp Function URL DateTimeFormat NumberFormat ListFormat PluralRules ' +
    'Collator toLocaleString toLocaleDateString toLocaleTimeString defineMessage state navigate navigateByUrl'
  ).split(' '),
);
/** Properties whose text somebody reads, even where it is one small word. */
const READ = new Set('label words what title sub caption heading said tells note why done many one'.split(' '));
const FLAGS = ts.TypeFlags;
const LITERAL = FLAGS.StringLiteral | FLAGS.TemplateLiteral | FLAGS.StringMapping | FLAGS.Index | FLAGS.IndexedAccess;
const BESIDE = FLAGS.Undefined | FLAGS.Null | FLAGS.BooleanLike | FLAGS.NumberLike | FLAGS.Never;

/** Whether a type lets in certain texts only: then a text there is a key, which the program asks for, and no wording. */
function isKeyType(type: ts.Type): boolean {
  const kinds = type.isUnion() ? type.types : [type];
  return kinds.some((t) => t.flags & LITERAL) && kinds.every((t) => t.flags & (LITERAL | BESIDE));
}

const isText = (n: ts.Node): n is Text => ts.isStringLiteralLike(n) || ts.isTemplateExpression(n);

const sentenceOf = (n: Text): string =>
  ts.isTemplateExpression(n) ? n.head.text + n.templateSpans.map((s, i) => `{${i + 1}}${s.literal.text}`).join('') : n.text;

/** A key by where it stands: compared, a name of a property, a case, a module, a type. */
function standsAsKey(n: ts.Node): boolean {
  const p = n.parent;
  if (ts.isElementAccessExpression(p) || ts.isCaseClause(p) || ts.isTaggedTemplateExpression(p) || ts.isExternalModuleReference(p))
    return true;
  if (ts.isEnumMember(p) || ((ts.isPropertyAssignment(p) || ts.isPropertyDeclaration(p)) && p.name === n)) return true;
  if (ts.isBinaryExpression(p) && /^([=!]==?|in)$/.test(p.operatorToken.getText())) return true;
  if (ts.isCallExpression(p) && p.expression.kind === ts.SyntaxKind.ImportKeyword) return true;
  const called = ts.isCallExpression(p) || ts.isNewExpression(p) ? calledOf(p) : '';
  if (MACHINERY.has(called)) return true;
  return false;
}

/** A key by the type that is wanted where it stands. */
function isWantedAsKey(n: Text, checker: ts.TypeChecker): boolean {
  const type = checker.getContextualType(n);
  return type !== undefined && isKeyType(type);
}

function calledOf(call: ts.CallExpression | ts.NewExpression): string {
  const of = call.expression;
  return ts.isPropertyAccessExpression(of) ? of.name.text : ts.isIdentifier(of) ? of.text : '';
}

/** The expression whose value an arm of a choice becomes. */
function chosenAt(n: ts.Node): ts.Node {
  let at = n;
  while (
    (ts.isConditionalExpression(at.parent) && at.parent.condition !== at) ||
    ts.isParenthesizedExpression(at.parent) ||
    (ts.isBinaryExpression(at.parent) && /^(\?\?|\|\|)$/.test(at.parent.operatorToken.getText()))
  )
    at = at.parent;
  return at;
}

/** Where one small word is certainly read: within a sentence, or as a property that is shown. */
function standsToBeRead(n: Text): boolean {
  const at = chosenAt(n);
  const p = at.parent;
  if (ts.isTemplateSpan(p)) return isWording(sentenceOf(p.parent)) || isWordingChosen(p.parent);
  if (ts.isArrayLiteralExpression(p)) return ts.isPropertyAssignment(p.parent) && p.parent.name.getText() === 'head';
  if (!ts.isPropertyAssignment(p) || p.initializer !== at) return false;
  return READ.has(p.name.getText()) || /(WORDS|TOLD|NAMES|LABELS)$/.test(tableOf(p)?.name.getText() ?? '');
}

/** The table that a property is of: what is declared as an object of texts. */
function tableOf(p: ts.PropertyAssignment): ts.VariableDeclaration | null {
  let at: ts.Node = p.parent.parent;
  while (ts.isAsExpression(at) || ts.isSatisfiesExpression(at)) at = at.parent;
  return ts.isVariableDeclaration(at) ? at : null;
}

/** Where one small word is read unless the program asks for such a word somewhere: one of two, what is given back, a text by its key, a choice. */
function maybeRead(n: Text): boolean {
  const p = n.parent;
  if (ts.isConditionalExpression(p) || ts.isReturnStatement(p)) return true;
  if (ts.isPropertyAssignment(p)) return /\bRecord<(?!string\b).*, string>/s.test(tableOf(p)?.type?.getText() ?? '');
  return ts.isArrayLiteralExpression(p) && p.elements.length === 2 && p.elements[1] === n && ts.isArrayLiteralExpression(p.parent);
}

/** A sentence within a sentence: `${n} ${n > 1 ? 'bars' : 'bar'}` has no words of its own. */
const isWordingChosen = (t: ts.TemplateExpression): boolean =>
  /^\s*$|^[\s,.]*$/.test(t.head.text + t.templateSpans.map((s) => s.literal.text).join('')) && /\s/.test(t.getText());

const escaped = (text: string): string => text.replace(/[\\`]/g, '\\$&').replace(/\$\{/g, '\\${');

/** As source: a plain text, or one with gaps. Source of a gap stands between `${` and `}` already. */
function write(parts: readonly Part[]): string {
  const inside = parts.map((p) => ('words' in p ? escaped(p.words) : `\${${p.source}}`)).join('');
  return parts.some((p) => 'source' in p) ? `\`${inside}\`` : JSON.stringify(parts.map((p) => ('words' in p ? p.words : '')).join(''));
}

/** The texts that the program itself asks for, anywhere: one small word among them may be one of those wherever it stands. */
export function keysOf(files: readonly ts.SourceFile[], checker: ts.TypeChecker): Set<string> {
  const keys = new Set<string>();
  const visit = (n: ts.Node): void => {
    if (ts.isLiteralTypeNode(n) && ts.isStringLiteral(n.literal)) keys.add(n.literal.text);
    if (ts.isPropertyAssignment(n) || ts.isPropertySignature(n)) keys.add(n.name.getText().replace(/^['"]|['"]$/g, ''));
    if (ts.isStringLiteralLike(n) && (standsAsKey(n) || (!/\s/.test(n.text) && isWantedAsKey(n, checker)))) keys.add(n.text);
    ts.forEachChild(n, visit);
  };
  files.forEach(visit);
  return keys;
}

/** The wording in a TypeScript file, outermost first, without that of its templates. */
export function sitesOfTypeScript(file: ts.SourceFile, checker: ts.TypeChecker, keys: ReadonlySet<string>): Site[] {
  const sites: Site[] = [];
  const take = (n: Text): void => {
    const text = sentenceOf(n);
    if (standsAsKey(n)) return;
    const small = !isWording(text);
    // Of a sentence the compiler may want exactly that sentence only because it stands there: it is a key where a type or a comparison names it.
    if ((small || keys.has(text)) && isWantedAsKey(n, checker)) return;
    if (small && !(isSmallWord(text) && (standsToBeRead(n) || (maybeRead(n) && !keys.has(text))))) return;
    if (!small && keys.has(text) && !standsToBeRead(n)) return;
    const gaps: Gap[] = ts.isTemplateExpression(n)
      ? n.templateSpans.map((s, i) => ({ name: `${i + 1}`, start: s.expression.getFullStart(), end: s.literal.getStart() }))
      : [];
    sites.push({ start: n.getStart(), end: n.getEnd(), line: lineOf(file, n), text, gaps, write });
  };
  const visit = (n: ts.Node): void => {
    if (ts.isTypeNode(n) || ts.isImportDeclaration(n) || ts.isExportDeclaration(n) || ts.isDecorator(n)) return;
    if (ts.isThrowStatement(n) && !isToBeRead(n)) return;
    const counted = ts.isCallExpression(n) ? countedNoun(n, file) : null;
    if (counted) {
      sites.push(counted);
      return visit((n as ts.CallExpression).arguments[0]!);
    }
    if (isText(n)) take(n);
    ts.forEachChild(n, visit);
  };
  visit(file);
  return sites;
}

const lineOf = (file: ts.SourceFile, n: ts.Node): number => file.getLineAndCharacterOfPosition(n.getStart()).line + 1;

/** Bugs are told to whoever mends them, in the language of the code. */
const isToBeRead = (n: ts.ThrowStatement): boolean =>
  !(ts.isNewExpression(n.expression) && /^(Range|Type|Syntax)?Error$/.test(n.expression.expression.getText()));

/** `countOf(n, 'bar')`: the noun in as many forms as the language has. */
function countedNoun(call: ts.CallExpression, file: ts.SourceFile): Site | null {
  const [, one, many] = call.arguments;
  if (calledOf(call) !== 'countOf' || !one || !ts.isStringLiteral(one) || !hasWord(one.text)) return null;
  return {
    start: one.getStart(),
    end: (many ?? one).getEnd(),
    line: lineOf(file, one),
    text: one.text,
    many: many && ts.isStringLiteral(many) ? many.text : `${one.text}s`,
    gaps: [],
    write: (parts) => parts.map((p) => write([p])).join(', '),
  };
}
