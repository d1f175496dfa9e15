import type { Material } from '../../book/materials';
import { inSentence } from '../../terms/words';
import { notchSensitivity } from './fatigue';

/** A notch as sharp as tools leave it, mm, and one that doubles the stress: by these two steels are held against each other. */
const NOTCH = { radiusMm: 0.5, kt: 2 } as const;
const SAME = 0.02;
const FERROUS: readonly Material['family'][] = ['steel', 'stainless', 'iron'];
/** Yield over strength: what lies higher gives little before it breaks. */
const LITTLE_GIVE = 0.85;
/** Difference of expansion that moves a fit, per kelvin: 0.01 mm on 100 mm in 50 K. */
const SAME_ALPHA = 2e-6;

const feels = (m: Material): number => 1 + notchSensitivity(m, 'bending', NOTCH.radiusMm) * (NOTCH.kt - 1);
const share = (m: Material): number => (m.yieldMpa ?? m.tensileMpa) / m.tensileMpa;

/**
 * What changes when a part is made of something else, beside how strong it is: how much a notch hurts it, whether it gives before it breaks, whether it
 * can be welded, how it grows when it warms. Empty for the same material.
 *
 * Notches by Neuber's sensitivity at a radius of 0.5 mm; the rest from the book's own table.
 */
export function materialChange(old: Material, now: Material): string[] {
  if (old.id === now.id) return [];
  const known = old.substitutes.find((s) => s.id === now.id)?.change;
  const [was, is] = [feels(old), feels(now)];
  // Of other metals nothing better is known than that they feel all of it.
  const told = [old, now].every((m) => FERROUS.includes(m.family));
  const notch =
    !told || Math.abs(is - was) <= SAME
      ? []
      : [
          `A sharp notch that doubles the stress costs it ${is.toFixed(2)} times, the old one ${was.toFixed(2)} times${is > was ? ': round the corners' : ''}.`,
        ];
  const shock = now.brittle && !old.brittle;
  const stiff = !shock && share(now) > LITTLE_GIVE && share(old) <= LITTLE_GIVE;
  const grows = Math.abs(now.alphaPerK - old.alphaPerK) > SAME_ALPHA;
  return [
    `${now.name} in place of ${inSentence(old.name)}${known ? `: ${known}` : ''}.`,
    ...notch,
    ...(shock ? ['It breaks without giving: not where it is struck.'] : []),
    ...(stiff ? ['It gives little before it breaks: a blow that bent the old one may break it.'] : []),
    ...(now.caution ? [now.caution] : []),
    ...(grows
      ? [`It grows ${now.alphaPerK > old.alphaPerK ? 'more' : 'less'} than the old one when it warms: look at the play again.`]
      : []),
  ];
}
