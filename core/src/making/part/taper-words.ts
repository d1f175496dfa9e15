import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH, parseSignedNumber } from '../../terms/quantity';

const MM_PER_FOOT = 12 * MM_PER_INCH;

/** Change of diameter a foot, in, of Morse tapers by their number. Source: ISO 296, ASME B5.10. */
const MORSE_IN_PER_FOOT = [0.6246, 0.59858, 0.59941, 0.60235, 0.62326, 0.63151, 0.62565, 0.624] as const;

/** Tapers that go by what they are for: how people write it, change of diameter over length, what it is. */
const NAMED: readonly (readonly [RegExp, number, string])[] = [
  // ISO 239 and 2339: taper pins; ASME B18.8.2 a quarter inch a foot; ISO 7 and ASME B1.20.1 pipe; ISO 7388 steep shanks; DIN 6886 keys.
  [/^taper pin$/i, 1 / 50, 'metric taper pins'],
  [/^inch taper pin$/i, 1 / 48, 'inch taper pins'],
  [/^pipe$/i, 1 / 16, 'pipe threads'],
  [/^(steep( taper)?|7\s*[:/]\s*24)$/i, 7 / 24, 'steep shanks'],
  [/^key$/i, 1 / 100, 'taper keys'],
];

const morsePerMm = (inPerFoot: number): number => (inPerFoot * MM_PER_INCH) / MM_PER_FOOT;

const number = (text: string): number | null => {
  const read = parseSignedNumber(text);
  return read.ok ? read.value.value : null;
};

/**
 * A taper as people write it: `1:20`, `5/8 per foot`, `0.6 in/ft`, `5° included`, `3° a side`, `Morse 3`, `MT3`, `taper pin`, `pipe`, `7:24`.
 *
 * @returns how much the diameter changes over a length, mm a mm; a problem at what names no taper, or none between 0 and 2
 */
export function parseTaper(raw: string): Outcome<number> {
  const text = raw.trim();
  const found = read(text);
  if (found === null || !Number.isFinite(found) || found <= 0 || found > 2)
    return bad('taper', 'Write the taper as 1:20, 5/8 per foot, 5° included, 3° a side, Morse 3, taper pin or pipe.');
  return good(found);
}

function read(text: string): number | null {
  const named = NAMED.find(([name]) => name.test(text));
  if (named) return named[1];
  const morse = /^(?:morse(?:\s+taper)?|mt|mk|mc)\s*(?:no\.?\s*)?([0-7])$/i.exec(text);
  if (morse) return morsePerMm(MORSE_IN_PER_FOOT[Number(morse[1])]!);
  const one = /^1\s*(?::|to|in)\s*(.+)$/i.exec(text);
  if (one) {
    const n = number(one[1]!);
    return n === null ? null : 1 / n;
  }
  const foot = /^(.+?)\s*(?:in|inch|")?\s*(?:per|a|\/)\s*(?:foot|ft|')$/i.exec(text);
  if (foot) {
    const inches = number(foot[1]!);
    return inches === null ? null : inches / 12;
  }
  const angle = /^(.+?)\s*(?:°|deg(?:rees)?)\s*(included|a side|per side|\/ ?side|half)?$/i.exec(text);
  const degrees = angle && number(angle[1]!);
  if (angle && degrees !== null && degrees < 90) {
    const half = !angle[2] || /included/i.test(angle[2]) ? degrees / 2 : degrees;
    return 2 * Math.tan((half * Math.PI) / 180);
  }
  return null;
}

/**
 * What tapers so, among pins, keys, pipe threads and shanks: all that lie within the band.
 *
 * @param perMm change of diameter over length, mm a mm
 * @param plusMinus how surely it is known, mm a mm
 */
export function tapersNamed(perMm: number, plusMinus: number): string[] {
  const within = (own: number): boolean => Math.abs(Math.abs(perMm) - own) <= plusMinus;
  return [
    ...NAMED.flatMap(([, own, what]) => (within(own) ? [what] : [])),
    ...MORSE_IN_PER_FOOT.flatMap((foot, n) => (within(morsePerMm(foot)) ? [`Morse ${n}`] : [])),
  ];
}

/**
 * A taper in words, every way that a lathe asks for it.
 *
 * @param perMm change of diameter over length, mm a mm
 * @example 0.05: `1:20, 0.600 in per foot, 2.86° included`
 */
export function taperWords(perMm: number): string {
  const one = 1 / Math.abs(perMm);
  const included = (2 * Math.atan(Math.abs(perMm) / 2) * 180) / Math.PI;
  return `1:${Number(one.toPrecision(5))}, ${(Math.abs(perMm) * 12).toFixed(3)} in per foot, ${included.toFixed(2)}° included`;
}
