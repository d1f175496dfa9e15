import { materialOf } from '../../book/materials';
import type { Part } from '../../making/part';
import { inSentence } from '../../terms/words';
import type { StrengthFinding } from './strength-finding';

/** A part that gives way first may bear this much more than the old one did, for what the factors can tell. */
const NO_STRONGER = 1.05;

/** Whether a thing's name says that it is there to give way: a shear pin, a breakaway bolt, a soft key. */
export const soundsLikeGivingWay = (name: string): boolean =>
  /\b(shear|break-?\s?away|breaking|soft)\b.*\b(pin|bolt|key|screw|stud|plate)|\bfuse\b/i.test(name);

/**
 * What stands against a part that is to give way before what it protects: where it is stronger than the old one, another steel, hardness that the old one
 * is not known to have had, and what was not read, for then nobody knows. Empty where all is as it was.
 *
 * @param oldMaterialId of the old part; empty where nobody knows it
 */
export function notAsWeak(part: Part, oldMaterialId: string, strength: StrengthFinding | null): string[] {
  const [old, now] = [materialOf(oldMaterialId), materialOf(part.materialId)];
  const steel = !old
    ? ['What the old one is made of is not known: find out, or a stronger one breaks what it protects.']
    : now && now.id !== old.id
      ? [`It is drawn of ${inSentence(now.name)}, the old one is of ${inSentence(old.name)}: the same steel in the same condition.`]
      : [];
  const hard = part.features.filter((f) => f.kind === 'hardness');
  const rows = strength?.rows ?? [];
  const stronger = rows.flatMap((r) =>
    r.ratio && r.ratio.value > NO_STRONGER
      ? [
          `${r.words[0]!.toUpperCase()}${r.words.slice(1)} it bears ${Math.round(100 * (r.ratio.value - 1))} % more than the old one: the same section.`,
        ]
      : [],
  );
  return [
    ...stronger,
    ...steel,
    ...(hard.length ? ['Hardness is asked for: only what the old one had.'] : []),
    ...(rows.length && rows.every((r) => r.ratio === null) ? ['The old one was not read at its weakest place: measure its neck.'] : []),
  ];
}
