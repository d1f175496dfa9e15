import { bad, good, type Outcome } from '../../terms/outcome';
import { formatLength, parseLength, type LengthUnit } from '../../terms/quantity';
import { findThread } from '../../book/threads';
import { countOf } from '../../terms/words';
import { threadedKind, TOOL_WORDS, type CribTool, type ToolKind } from './tool';

export type TypedTool = Omit<CribTool, 'id' | 'version'>;

/** Words that a line begins with, the longer first. */
const NAMES: readonly (readonly [RegExp, ToolKind])[] = [
  [/^(turning|facing|knife|rough(?:ing)?|finish(?:ing)?)(?:\s+tool)?\b/i, 'turning'],
  [/^boring(?:\s+(?:bar|tool|head))?\b/i, 'boring'],
  [/^(?:parting|part(?:ing)?[- ]off|grooving|cut-off)(?:\s+(?:tool|blade))?\b/i, 'parting'],
  [/^thread(?:ing|-cutting)?\s+tool\b/i, 'threading'],
  [/^(?:end\s*mill|slot\s*drill)s?\b/i, 'end-mill'],
  [/^(?:slitting\s+saw|woodruff(?:\s+cutter)?|key(?:seat)?\s+cutter|milling\s+cutter|fly\s*cutter|face\s*mill|cutter|saw)s?\b/i, 'cutter'],
  [/^reamers?\b/i, 'reamer'],
  [/^taps?\b/i, 'tap'],
  [/^dies?\b/i, 'die'],
  [/^(?:edge[\s-]*finder|finder|wiggler)s?\b/i, 'finder'],
];

const SIZE = /^[øØ]?\s*(\d+(?:\s+|\s*-\s*)\d+\/\d+|\d+\/\d+|\d*[.,]?\d+)\s*(mm|inches|inch|in|")?(?![\w/°%])/i;
const PIECES = /(?:^|[\s,])(\d{1,3})\s*(?:off|pcs|pieces?)(?=$|[\s,])/i;
const LONGEST_THREAD_WORDS = 4;

const noteOf = (text: string): string => text.replace(/^[\s,]+|[\s,]+$/g, '').replace(/\s+/g, ' ');

/** The longest run of words at the start that names a thread, and what follows it. */
function threadAtStart(text: string): { readonly name: string; readonly rest: string } | null {
  const words = text.split(/\s+/).filter(Boolean);
  for (let n = Math.min(LONGEST_THREAD_WORDS, words.length); n > 0; n--) {
    const said = words.slice(0, n).join(' ').replace(/,$/, '');
    // 12 alone may be M12, #12 or 12 mm.
    const thread = /^[\d.,]+$/.test(said) ? undefined : findThread(said);
    if (thread) return { name: thread.name, rest: words.slice(n).join(' ') };
  }
  return null;
}

/**
 * A tool as a person writes it on its hook: `reamer 12 H7`, `tap M10 x 1.25, plug`, `die 1/2-13`, `end mill 1/4 in, 4 teeth, 2 off`,
 * `parting 3, right hand`, `boring bar 10`. What is not its kind, size or thread is kept as its note.
 *
 * @param unit of a size without one
 */
export function parseTool(raw: string, unit: LengthUnit): Outcome<TypedTool> {
  const line = raw.trim();
  if (!line) return bad('empty', 'Say what it is, such as: reamer 12 H7', 'kind');
  const many = PIECES.exec(line);
  const text = many ? line.replace(many[0], ' ').trim() : line;
  const named = NAMES.map(([pattern, kind]) => ({ kind, said: pattern.exec(text)?.[0] })).find((n) => n.said);
  if (!named)
    return bad(
      'kind',
      'Begin with what it is: turning tool, boring bar, parting, threading tool, end mill, cutter, reamer, tap, die or edge finder.',
      'kind',
    );
  const { kind } = named;
  const own = named.said!.toLowerCase().replace(/s$/, '');
  const after = text.slice(named.said!.length).trim();
  const pieces = many ? Number(many[1]) : 1;
  if (pieces < 1) return bad('pieces', 'At least one piece.', 'pieces');
  if (threadedKind(kind)) {
    const found = threadAtStart(after);
    if (!found) return bad('thread', `“${after.slice(0, 30)}” is no thread in the book. Write it like 3/8-16, M10 or M16 x 1.5.`, 'thread');
    return good({ kind, sizeMm: null, thread: found.name, note: noteOf(found.rest), pieces });
  }
  const size = SIZE.exec(after);
  const mm = size && parseLength(`${size[1]!.trim()} ${size[2] ?? ''}`.trim(), { unit });
  if (mm && !mm.ok) return { ok: false, problems: [{ ...mm.problems[0]!, path: 'sizeMm' }] };
  if (!mm && (kind === 'reamer' || kind === 'end-mill')) return bad('size', `Say what size the ${own} cuts, such as: ${own} 12`, 'sizeMm');
  const rest = noteOf(size ? after.slice(size[0].length) : after);
  // A name that says more than its kind, such as slitting saw, stays in the note.
  const more = TOOL_WORDS[kind].toLowerCase().includes(own) ? '' : own;
  return good({ kind, sizeMm: mm?.ok ? mm.value.valueMm : null, thread: '', note: [more, rest].filter(Boolean).join(', '), pieces });
}

/** `Reamer 12 mm, H7`, `Tap M10 x 1.25, plug, 2 pieces`. */
export function toolWords({ kind, sizeMm, thread, note, pieces }: TypedTool, unit: LengthUnit): string {
  const size = sizeMm === null ? '' : `${formatLength(sizeMm, unit).replace(/\.?0+$/, '')} ${unit}`;
  const first = [TOOL_WORDS[kind], thread || size].filter(Boolean).join(' ');
  return [first, note, pieces === 1 ? '' : countOf(pieces, 'piece')].filter(Boolean).join(', ');
}

/** One size written in two units differs by no more in print, mm; a reamer a tenth of a thou over is another. */
const ALIKE_MM = 0.0015;

/** Tools of the crib that cut that thread, or that are of that kind and size in mm; none where none hangs there. */
export const hangingFor = (
  crib: readonly CribTool[],
  kind: ToolKind,
  what: { readonly thread: string } | { readonly sizeMm: number },
): readonly CribTool[] =>
  crib.filter(
    (t) =>
      t.kind === kind && ('thread' in what ? t.thread === what.thread : t.sizeMm !== null && Math.abs(t.sizeMm - what.sizeMm) < ALIKE_MM),
  );
