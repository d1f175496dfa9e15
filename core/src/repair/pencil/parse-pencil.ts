import { findThread } from '../../book/threads';
import { capital } from '../../terms/words';
import { bad, good, type Outcome } from '../../terms/outcome';
import { parseLength, type LengthUnit } from '../../terms/quantity';
import { isDiameter, isIndicator, isRelief, PLACE_KINDS, type PlaceKind, type Side, type Suspicion } from '../../evidence/readings';
import { clockedReadings, clocksOfMany, saysAngle, withoutAngleColons } from './clocks';

/** What was read at one station of a place, as it was typed, in the order of the clock or of what is read there. */
export interface PencilGroup {
  /** From the component's zero face, mm; null where nobody said. */
  readonly stationMm: number | null;
  readonly texts: readonly string[];
  /** The angle of each reading, degrees: as it was written, or as so many are taken; none for what has no clock. */
  readonly clocksDeg: readonly number[];
}

/** One line of a pencil sheet: a place, what it runs in, and its numbers. */
export interface PencilLine {
  /** The component that it is on, by name; null for the one in hand. */
  readonly component: string | null;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly side: Side;
  readonly startMm: number | null;
  readonly lengthMm: number | null;
  /** Name of the place that it runs in or on. */
  readonly mate: string | null;
  readonly unworn: boolean;
  /** What its name says of what wears there. */
  readonly suspicions: readonly Suspicion[];
  readonly groups: readonly PencilGroup[];
  /** Where the blocks stood that it lay on under an indicator, mm from its zero face; null for one between centres, and for what an indicator does not read. */
  readonly supportsMm: readonly number[] | null;
}

/** Words of a name that tell what is measured there; the first that fits counts. */
const KIND_WORDS: readonly (readonly [RegExp, PlaceKind])[] = [
  [/\b(thread(ed|s)?|tapped)\b/, 'thread'],
  [/\b(ring )?groove\b/, 'groove'],
  [/\b(keyseat|key seat|keyway|half-?moon|woodruff)\b/, 'keyseat'],
  [/\bkey\b/, 'key'],
  [/\bflats?\b/, 'flats'],
  [/\b(cross|split pin|grease) ?hole\b/, 'cross-hole'],
  [/\brun-?out\b/, 'run-out'],
  [/\b(straightness|bend)$/, 'straightness'],
  [/\bdepth\b/, 'depth'],
  [/\b(length|overall|shoulder)\b/, 'length'],
  [/\bwall\b/, 'wall'],
];
const INSIDE = /\b(tapped|hole|bore|inside|housing|eye|socket|barrel|cylinder|bush(ing)? bore)\b/;
const UNWORN = /\b(land|unworn|never ran)\b/;
/** A place that is called so carries a bearing, or a lip runs on it: no unworn land then. */
const SUSPECTED: readonly (readonly [RegExp, Suspicion])[] = [
  [/\bbearing\b/, 'bearing'],
  [/\b(seal|lip)\b/, 'seal-groove'],
];

/** What lies beside something is not that itself: `land beside the seal track`. */
const BESIDE = /\b(beside|next to|near|by) (the )?[\p{L}’']+( (track|seat|lip))?/gu;

const COUNTS = '1, 2, 3, 4, 6 or 8';

/** The unit, not the word before a mate: `from 4 in press hole` lies in the hole. */
const UNIT_WORD = String.raw`(?:mm|"|in(?!\s+(?!(?:long|wide|from|starts|in|on|fits|runs|and)\b)[a-z]))`;
const NUMBER_WORD = String.raw`\d(?:[\d.,/]*\d)?(?:\s*-?\s*\d+\/\d+)?`;
const LENGTH_WORD = String.raw`(${NUMBER_WORD}\s*${UNIT_WORD}?)`;
/** `on blocks at 2 and 28`: where it lay under the indicator. */
const SUPPORTS = new RegExp(
  String.raw`[,\s]+(?:on\s+)?(?:v-?\s?)?blocks\s+at\s+(${NUMBER_WORD}\s*${UNIT_WORD}?)\s+and\s+(${NUMBER_WORD}\s*${UNIT_WORD}?)`,
  'i',
);
const CENTRES = /[,\s]+between (the )?centres\b/i;
const MEETS = '(?:in|on|fits|runs in|runs on)';
const LONG = new RegExp(String.raw`[,\s]+${LENGTH_WORD}\s*(?:long|wide)\b`, 'i');
const FROM = new RegExp(String.raw`[,\s]+(?:from|starts at)\s+${LENGTH_WORD}`, 'i');
const MATE = new RegExp(String.raw`\s+${MEETS}\s+(?:the\s+)?(.+)$`, 'i');
/** What is said of a place behind its readings: words, which no reading begins with but for its unit. */
const BEHIND = new RegExp(
  String.raw`[,;]?\s+(?=(?:on\s+)?(?:v-?\s?)?blocks at\b|between (?:the )?centres\b|${MEETS}\s+(?!in\b)[a-z]|(?:from|starts at)\s+\d|${NUMBER_WORD}\s*(?:mm|in|")?\s*(?:long|wide)\b)`,
  'i',
);

/** A size said in the head of a line, taken out of it. */
function takeOut(head: string, pattern: RegExp, unit: LengthUnit): Outcome<{ readonly head: string; readonly mm: number | null }> {
  const found = pattern.exec(head);
  if (!found) return good({ head, mm: null });
  const parsed = parseLength(found[1]!, { unit, allowZero: true });
  return parsed.ok ? good({ head: head.replace(found[0], ' ').trim(), mm: parsed.value.valueMm }) : parsed;
}

/** What a head says of how the part lay under an indicator, taken out of it. */
function laidOn(head: string, unit: LengthUnit): Outcome<{ readonly head: string; readonly supportsMm: readonly number[] | null }> {
  const found = SUPPORTS.exec(head);
  if (!found) return good({ head: head.replace(CENTRES, ' '), supportsMm: null });
  const supportsMm: number[] = [];
  for (const text of found.slice(1, 3)) {
    const at = parseLength(text, { unit, allowZero: true });
    if (!at.ok) return at;
    supportsMm.push(at.value.valueMm);
  }
  return good({ head: head.replace(found[0], ' '), supportsMm });
}

/** Numbers at the end of a head are readings without their colon; `seat 2` is a name. */
const READ = /(?:\s+(?:\d*[.,]\d+|\d+\s+\d+\/\d+)(?:\s*(?:mm|in|"))?)+$/;

/** The head of a line without where its place begins and how long it is, so that both can be said anew. */
export const withoutPlace = (head: string): string => ` ${head}`.replace(LONG, '').replace(FROM, '').trim();

/** Readings of a line, parted by blanks; one with a blank in it (`1 3/16`, `15 thou`) is kept together, or parted by a semicolon. */
function textsOf(said: string): string[] {
  return said
    .split(';')
    .flatMap((part) => part.trim().match(/\d+\s+\d+\/\d+(?:\s*(?:mm|in|"))?|[^\s]+(?:\s+(?:mm|in|thou|tenths?|tpi|")(?![a-z]))?/g) ?? [])
    .map((t) => t.replace(/,+$/, '').trim())
    .filter(Boolean);
}

/** What is not a diameter has its sizes called by name: `keyseat: 3/16 wide, 0.09 deep`. */
const CALLED = new RegExp(String.raw`(${NUMBER_WORD}\s*${UNIT_WORD}?)\s*(wide|deep)\b[,;]?`, 'gi');
const HAS_WIDTH = /\b(groove|keyseat|keyway|key|half-?moon|woodruff)\b/;

/** Readings with the names of sizes taken off, in the order in which the place has them. */
function uncalled(name: string, said: string): Outcome<string> {
  if (!HAS_WIDTH.test(name) || said.includes('@')) return good(said);
  const called = [...said.matchAll(CALLED)].map((m) => ({ size: m[1]!.trim(), word: m[2]!.toLowerCase() }));
  if (!called.length) return good(said);
  const of = (word: string): string[] => called.filter((c) => c.word === word).map((c) => c.size);
  const [wide, deep] = [of('wide'), of('deep')];
  if (deep.length && /groove/.test(name))
    return bad('groove-deep', `Of a groove the diameter at its floor is read: write that in place of ${deep[0]!} deep.`, 'readings');
  const rest = said.replace(CALLED, ' ').trim();
  if (deep.length && !wide.length && !/\d/.test(rest)) return bad('no-width', `Write how wide it is before ${deep[0]!} deep.`, 'readings');
  return good([...wide, ...(wide.length ? [] : [rest]), ...deep, ...(wide.length ? [rest] : [])].filter(Boolean).join('; '));
}

/** Nobody has a shaft of a hundred inches: such a bare number was read off in thousandths. */
const THOU_FROM_IN = 100;
const inThou = (text: string, unit: LengthUnit): string =>
  unit === 'in' && /^\d{3,}(\.\d+)?$/.test(text) && Number(text) >= THOU_FROM_IN ? `${text} thou` : text;

/** What has a thread where a pitch stands behind its diameter; a larger number may be a counterbore's. */
const SCREWED = /\b(screw|bolt|stud|nut)s?\b/;
/** A thread's pitch is a small share of its diameter. */
const PITCH_SHARE = 0.3;
/** `M10`, `3/8-16`: a name, where a plain number or fraction is a size. */
const isThreadName = (text: string): boolean => /^M\s?\d|\d-\d/i.test(text) && findThread(text) !== undefined;
function saysThread(words: string, texts: readonly string[], unit: LengthUnit): boolean {
  if (texts.some((t) => /tpi$/i.test(t) || isThreadName(t))) return true;
  if (!SCREWED.test(words) || texts.length !== 2) return false;
  const [p, q] = texts.map((t) => parseLength(t, { unit })).map((x) => (x.ok ? x.value.valueMm : 0));
  return q! > 0 && q! <= PITCH_SHARE * p!;
}

/** A relief's width is less than this share of its floor; where it is not, both are diameters. */
const WIDTH_SHARE = 0.5;
const saysRelief = (words: string, texts: readonly string[], unit: LengthUnit): boolean => {
  if (!isRelief(words) || texts.length !== 2) return false;
  const [wide, floor] = texts.map((t) => parseLength(t, { unit })).map((x) => (x.ok ? x.value.valueMm : 0));
  return wide! > 0 && wide! < WIDTH_SHARE * floor!;
};

/** What is measured where only the numbers tell it. */
const unnamedKind = (words: string, texts: readonly string[], unit: LengthUnit): PlaceKind =>
  saysThread(words, texts, unit) ? 'thread' : saysRelief(words, texts, unit) ? 'groove' : 'diameter';

/** A second number beyond the share of a pitch is how many there are to the inch. */
function threadTexts(texts: readonly string[], unit: LengthUnit): readonly string[] {
  const [major, second] = texts.map((t) => parseLength(t, { unit }));
  const bare = /^\d+([.,]\d+)?$/.test(texts[1] ?? '');
  if (!bare || !major?.ok || !second?.ok || second.value.valueMm <= PITCH_SHARE * major.value.valueMm) return texts;
  return [texts[0]!, `${texts[1]} tpi`, ...texts.slice(2)];
}

/** A thread's name is no reading: what to write instead. */
const namesThread = (text: string, kind: PlaceKind): Outcome<never> | null =>
  kind === 'thread' && isThreadName(text)
    ? bad('thread-name', `${text} is a name: write it before the colon, and behind it what the crests measure and the pitch.`, 'readings')
    : null;

function groupsOf(said: string, kind: PlaceKind, unit: LengthUnit): Outcome<PencilGroup[]> {
  const groups: PencilGroup[] = [];
  const { grid, quantities, name: kindName } = PLACE_KINDS[kind];
  for (const part of said.split(/(?=@)/)) {
    const at = /^@\s*(\d+\s+\d+\/\d+|[^\s]+)/.exec(part);
    const station = at && parseLength(at[1]!, { unit, allowZero: true });
    if (station && !station.ok) return { ok: false, problems: [{ ...station.problems[0]!, path: 'stations' }] };
    const behindStation = at ? part.slice(at[0].length) : part;
    if (!grid && saysAngle(behindStation))
      return bad('clock', `${kindName}: write its sizes alone. Its clock position is said with its surface and hardness.`, 'readings');
    const clocked = clockedReadings(behindStation, textsOf);
    if (!clocked.ok) return clocked;
    const told = clocked.value ? clocked.value.said : textsOf(behindStation);
    const texts =
      isIndicator(kind) && told.length === 1 && !clocked.value
        ? ['0', ...told]
        : kind === 'thread'
          ? threadTexts(told, unit)
          : isDiameter(kind)
            ? told.map((t) => inThou(t, unit))
            : told;
    for (const text of texts) {
      const name = namesThread(text, kind);
      if (name) return name;
      const size = parseLength(text, { unit, allowZero: true, allowNegative: true });
      if (!size.ok) return { ok: false, problems: [{ ...size.problems[0]!, path: 'readings' }] };
    }
    if (!texts.length && !at) continue;
    if (!texts.length) return bad('no-readings', `Nothing was read at ${at![1]}.`, 'readings');
    const clocksDeg = clocked.value?.clocksDeg ?? (grid ? clocksOfMany(texts.length, kind) : []);
    if (!clocksDeg)
      return bad(
        'how-many',
        `${texts.length} readings round one section: write ${isIndicator(kind) ? '1, 2, 4 or 8' : COUNTS}, and @ before the next station.`,
        'readings',
      );
    if (!grid && texts.length > quantities.length)
      return bad('how-many', `${kindName}: at most ${quantities.length} numbers here.`, 'readings');
    groups.push({ stationMm: station?.ok ? station.value.valueMm : null, texts, clocksDeg });
  }
  if (groups.length > 1 && groups.some((g) => g.stationMm === null))
    return bad('no-station', 'Write @ and the station before each group of readings.', 'stations');
  return good(groups);
}

/**
 * A line of a pencil sheet: `jaw / swivel hole: @3 20.32 20.41 20.49 20.40 @12 20.33 20.40 20.48 20.41`, `peg / press end in press hole:
 * 18.02`, `ring groove: 0.046 0.812`, `land 12 long: 40.00`, `peg / press end: 18.02 18.01, 20 long, in press hole`, `stud / thread: 0.312 22`.
 * `relief: 2 8.2` is a width and a floor, `bend on blocks at 2 and 28: @15 0.018` what an indicator shows in all at 15. What stands before the stroke is the component; what stands after a colon was read, two readings at 0°
 * and 90°, three at 60° each, four at 45° unless each has its angle beside it (`0° 80.00 90° 80.06`); what stands behind the readings is of the place. `@` names a station.
 *
 * @param unit of a bare size; each reading keeps its own text
 */
export function parsePencil(raw: string, unit: LengthUnit): Outcome<PencilLine> {
  const [headText, ...afterName] = raw.trim().split(':');
  // An angle's own colon stands behind the one after the place's name.
  const rest = afterName.length ? withoutAngleColons(afterName.join(':')).split(':') : [];
  if (rest.length > 1) return bad('colons', 'One colon a line: before it the place, after it what was read.', 'name');
  const called = uncalled(headText!.toLowerCase(), rest[0] ?? '');
  if (!called.ok) return called;
  const read = rest[0] === undefined ? undefined : called.value;
  // Said before the colon or behind the readings, it is of the place.
  const behind = BEHIND.exec(read ?? '')?.index ?? read?.length ?? 0;
  const said = read?.slice(0, behind) ?? '';
  const whole = `${headText!} ${(read?.slice(behind) ?? '').replace(/^[,;\s]+/, '')}`.trim();
  const [first, second] = whole.split(/\s+\/\s+|\s*\/\s+(?=[^\d])/);
  const component = second === undefined ? null : first!.trim();
  const laid = laidOn(` ${second ?? first!}`, unit);
  if (!laid.ok) return laid;
  const long = takeOut(laid.value.head, LONG, unit);
  if (!long.ok) return long;
  const from = takeOut(` ${long.value.head}`, FROM, unit);
  if (!from.ok) return from;
  const mated = MATE.exec(from.value.head);
  const name = (mated ? from.value.head.slice(0, mated.index) : from.value.head).replace(/[,\s]+$/, '').trim();
  if (component === '') return bad('no-component', 'Name the component before the stroke, or leave the stroke out.', 'component');
  if (rest[0] === undefined && READ.test(name))
    return bad('no-colon', `Write a colon before what was read: ${name.replace(READ, (read) => `: ${read.trim()}`)}`, 'name');
  if (!/\p{L}/u.test(name)) return bad('no-name', 'Begin with the name of the place, such as: bearing seat: 19.98 19.97', 'name');
  const words = name.toLowerCase().replace(BESIDE, '');
  const told = KIND_WORDS.find(([pattern]) => pattern.test(words))?.[1] ?? 'diameter';
  // A thread's relief has none.
  const named = told === 'thread' && isRelief(words) ? 'diameter' : told;
  const kind = named === 'diameter' ? unnamedKind(words, textsOf(said), unit) : named;
  const groups = groupsOf(said, kind, unit);
  if (!groups.ok) return groups;
  const side = kind !== 'cross-hole' && INSIDE.test(words) ? 'inside' : 'outside';
  // Which ring of a bearing sits in a hole its name does not tell.
  const suspicions =
    isDiameter(kind) && side === 'outside' ? SUSPECTED.flatMap(([pattern, what]) => (pattern.test(words) ? [what] : [])) : [];
  return good({
    component,
    name: capital(name),
    kind,
    side,
    startMm: from.value.mm,
    lengthMm: long.value.mm,
    mate: mated ? mated[1]!.trim() : null,
    unworn: UNWORN.test(words) && !suspicions.length,
    suspicions,
    groups: groups.value,
    supportsMm: isIndicator(kind) ? laid.value.supportsMm : null,
  });
}
