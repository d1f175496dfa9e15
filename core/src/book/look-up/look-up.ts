import { INCH_CLASSES, ISO286_SOURCE, fitPair, isHoleZone, splitIsoFit, zoneDeviations } from '../fits';
import { bearingOf } from '../bearings';
import { keySeats } from '../keys';
import { parseLength } from '../../terms/quantity';
import { ringsFor } from '../rings';
import { findThread } from '../threads';
import { bearingEntry, FINDABLES, threadEntry, type Findable } from './entries';
import { inBookWords } from './synonyms.data';
import type { BookEntry } from './entry';

/** One way to write a decimal: `.5` and `0.500` are 0.5, `1.000` is 1. */
const plainDecimal = (word: string): string => (/^\d*\.\d+$/.test(word) ? String(Number(word)) : word);

/** What parts words and numbers is left out, so that `3/8 24`, `3/8-24` and `m16x1.5` find the same as the book's own writing. */
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/[(),]/g, ' ')
    .replace(/\bo-ring/g, 'oring')
    .replace(/(\d)\s*[x×]\s*(?=\d)/g, '$1 ')
    .split(/[\s-]+/)
    .filter((w) => w && w !== 'x')
    .map(plainDecimal);

interface Indexed extends Findable {
  readonly list: readonly string[];
  /** The words in one string, a space about each: a word begins where a space stands. */
  readonly padded: string;
}

const byFirst = new Map<string, Indexed[]>();
for (const f of FINDABLES) {
  const list = wordsOf(f.words);
  // An entry never changes: made when it is first shown, then kept.
  let made: BookEntry | undefined;
  const item: Indexed = { ...f, list, padded: ` ${list.join(' ')} `, entry: () => (made ??= f.entry()) };
  for (const word of new Set(item.list)) (byFirst.get(word) ?? byFirst.set(word, []).get(word)!).push(item);
}
const firstWords = [...byFirst.keys()];

/** 0: the very words stand at its head in their order; 1: the last, still being typed, only begins one; 2: they all stand somewhere in it. */
function rank(item: Indexed, typed: readonly string[]): number | null {
  for (const [i, w] of typed.entries()) if (!item.padded.includes(i === typed.length - 1 ? ` ${w}` : ` ${w} `)) return null;
  if (typed.every((w, i) => item.list[i] === w)) return 0;
  return typed.every((w, i) => (i === typed.length - 1 ? item.list[i]?.startsWith(w) : item.list[i] === w)) ? 1 : 2;
}

const MOST_OF_A_KIND = 60;

/** How far back the first number that was typed stands: a name begins with the size that it is asked for by. */
function stands({ list }: Indexed, typed: readonly string[]): number {
  const number = typed.find((w) => /\d/.test(w));
  return number === undefined ? 0 : list.findIndex((w) => w.startsWith(number));
}

function named(text: string, how: number): BookEntry[] {
  const typed = wordsOf(inBookWords(wordsOf(text)).join(' '));
  const [first] = typed;
  if (!first) return [];
  // Every word must stand in what is found, so the word that fewest have says where to look.
  const exact = typed.flatMap((w) => (byFirst.has(w) ? [byFirst.get(w)!] : [])).sort((a, b) => a.length - b.length)[0];
  const pool = exact ?? firstWords.filter((w) => w.startsWith(first)).flatMap((w) => byFirst.get(w)!);
  const ranked: { item: Indexed; at: number }[] = [];
  for (const item of pool) {
    const at = rank(item, typed);
    if (at !== null) ranked.push({ item, at });
  }
  // Of what only has a kind in common, such as all threads, the tables tell better than the first few would.
  if (ranked.length > MOST_OF_A_KIND && !/\d/.test(text)) return [];
  return ranked
    .sort(
      (a, b) =>
        a.at - b.at ||
        Number(b.item.common) - Number(a.item.common) ||
        stands(a.item, typed) - stands(b.item, typed) ||
        a.item.list.length - b.item.list.length,
    )
    .slice(0, how)
    .map(({ item }) => item.entry());
}

/** The size before a fit or a zone: bare numbers are mm for ISO zones and inch for the inch classes. */
function sized(text: string, unit: 'mm' | 'in'): number | null {
  const parsed = parseLength(text.trim(), { unit });
  return parsed.ok ? parsed.value.valueMm : null;
}

function fitEntry(sizeText: string, name: string): BookEntry | null {
  const inch = (INCH_CLASSES as readonly string[]).includes(name.toUpperCase());
  const mm = sized(sizeText, inch ? 'in' : 'mm');
  if (mm === null) return null;
  if (inch || splitIsoFit(name)) {
    const pair = fitPair(name, mm);
    if (!pair.ok) return null;
    const { hole, shaft, leastClearanceMm, mostClearanceMm, source, name: written } = pair.value;
    return {
      title: `${sizeText.trim()} ${written}`,
      kind: 'fit',
      rows: [
        ['Hole, most', mm + hole.upperMm],
        ['Hole, least', mm + hole.lowerMm],
        ['Shaft, most', mm + shaft.upperMm],
        ['Shaft, least', mm + shaft.lowerMm],
        [mostClearanceMm < 0 ? 'Interference, least' : 'Play, most', Math.abs(mostClearanceMm)],
        [leastClearanceMm < 0 ? 'Interference, most' : 'Play, least', Math.abs(leastClearanceMm)],
      ],
      source,
    };
  }
  const zone = zoneDeviations(name, mm);
  if (!zone.ok) return null;
  return {
    title: `${sizeText.trim()} ${name}`,
    kind: 'fit',
    rows: [
      [isHoleZone(name) ? 'Hole, most' : 'Shaft, most', mm + zone.value.upperMm],
      [isHoleZone(name) ? 'Hole, least' : 'Shaft, least', mm + zone.value.lowerMm],
      ['Upper deviation', zone.value.upperMm],
      ['Lower deviation', zone.value.lowerMm],
    ],
    source: ISO286_SOURCE,
  };
}

const FIT = /^(.+?)\s+([A-Z]{1,2}\d{1,2}\s*\/\s*[a-z]{1,2}\d{1,2}|(?:RC|LC|LT|LN|FN)\d{1,2}|[A-Za-z]{1,2}\d{1,2})$/;
const BARE_FIT = /^([\d.]+)([A-Za-z]{1,2}\d{1,2}(?:\/[a-z]{1,2}\d{1,2})?)$/;

function fits(text: string): BookEntry[] {
  const match = FIT.exec(text) ?? BARE_FIT.exec(text);
  const entry = match && fitEntry(match[1]!, match[2]!.replace(/\s/g, ''));
  return entry ? [entry] : [];
}

/** `key 25`, `ring 25`: keys and rings for a diameter; bare numbers in the reader's unit. */
function forDiameter(text: string, unit: 'mm' | 'in'): BookEntry[] {
  const match = /^(key|ring)s?\s+(?:for\s+)?(.+)$/i.exec(inBookWords(text.toLowerCase().split(/\s+/)).join(' '));
  const parsed = match && parseLength(match[2]!, { unit });
  if (!match || !parsed?.ok) return [];
  const mm = parsed.value.valueMm;
  if (match[1]!.toLowerCase() === 'key') {
    const seats = keySeats(mm);
    return !seats.ok
      ? []
      : seats.value.map((s) => ({
          title: `Key for ${match[2]}, ${s.standard}`,
          kind: 'key',
          rows: [
            ['Width', s.widthMm],
            ['Height', s.heightMm],
            ['Depth from the crown', s.fromCrownMm],
            ['After the flat', s.afterFlatMm],
            ['Over the shaft', s.overShaftMm],
            ['Over the hub', s.overHubMm],
          ],
          source: s.source,
        }));
  }
  return (['shaft', 'bore'] as const).flatMap((on) => {
    const rings = ringsFor(on, mm);
    return !rings.ok
      ? []
      : rings.value.map((r): BookEntry => ({
          title: `Ring for a ${on} of ${match[2]}, ${r.standard}`,
          kind: 'ring',
          rows: [
            ['Thickness', r.thicknessMm],
            ['Groove', r.grooveMm],
            ...(r.grooveLimits
              ? [
                  ['Groove, most', r.grooveMm + r.grooveLimits.upperMm] as const,
                  ['Groove, least', r.grooveMm + r.grooveLimits.lowerMm] as const,
                ]
              : []),
            ['Groove width', r.widthMm],
          ],
          source: r.source,
        }));
  });
}

/** A bearing with what stands behind its code for seals and play. */
function bearings(text: string): BookEntry[] {
  const found = /\d/.test(text) ? bearingOf(text) : undefined;
  return found && found.code.toLowerCase() !== text.toLowerCase() ? [bearingEntry(found)] : [];
}

/** A thread as people say it: `10-32`, `M8x1.25`, `7/16-24`. */
function threads(text: string): BookEntry[] {
  const found = /[-x×\s/]/.test(text) ? findThread(text) : undefined;
  return found && !found.name.endsWith('special') ? [threadEntry(found)] : [];
}

const once = (entries: readonly BookEntry[]): BookEntry[] => entries.filter((e, i) => entries.findIndex((o) => o.title === e.title) === i);

const LONGEST_TEXT = 60;

/**
 * Looks something up by what people type: `3/8 24`, `M16x1.5`, `6204`, `-214`, `25 H7/p6`, `1 RC4`, `key 25`, `ring 1 in`,
 * `number 7`, `bronze`. Best first, at most `how`.
 *
 * @param unit unit of a bare number where the text does not settle it
 */
export function lookUp(text: string, unit: 'mm' | 'in', how = 8): BookEntry[] {
  const asked = text.trim().slice(0, LONGEST_TEXT);
  if (!asked) return [];
  const found = [...fits(asked), ...forDiameter(asked, unit), ...bearings(asked), ...threads(asked)];
  return found.length >= how ? found.slice(0, how) : once([...found, ...named(asked, how)]).slice(0, how);
}
