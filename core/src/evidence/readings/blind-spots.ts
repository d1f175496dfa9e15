import type { DiameterReading } from './diameter-reading';
import type { Suspicion } from './measuring-plan';
import type { Section } from './section';

/** What some readings cannot show, and what would. */
export interface BlindSpot {
  readonly of: 'lobes' | 'oval' | 'taper' | 'belly';
  readonly text: string;
}

/** Everything that readings like these cannot show, whether it matters or not. */
export function blindSpots(readings: readonly DiameterReading[], sections: readonly Section[]): BlindSpot[] {
  const said: BlindSpot[] = [];
  const say = (of: BlindSpot['of'], text: string): void => void said.push({ of, text });
  const threePoint = readings.filter((r) => r.points === 3).length;
  const turned = sections.some((s) => s.lobingMm !== null);
  if (threePoint === 0) say('lobes', 'Two-point readings cannot show three lobes. A three-point head or a V-block would.');
  if (threePoint === readings.length)
    say('oval', 'A three-point head cannot show an oval. A telescoping gauge or a dial bore gauge at four clock angles would.');
  if (threePoint > 0 && !turned) say('lobes', 'A three-point head shows lobes only when it is turned: at 0°, 40° and 80°.');
  const three = (s: Section): boolean => s.ovalityKind === 'fitted' && s.directions === 3;
  if (sections.some(three)) say('oval', 'Three directions take four lobes for an oval. A fourth tells them apart.');
  const onlyLowerBound = sections.filter((s) => s.ovalityKind === 'at-least').length;
  const noOval = sections.filter((s) => s.ovalityKind === 'unknown').length;
  if (threePoint === 0 && noOval > 0) say('oval', 'One direction cannot show an oval. 45°, 90° and 135° would.');
  if (onlyLowerBound > 0) say('oval', 'Two directions give the least that the oval can be. 45° and 135° would tell how much it is.');
  if (sections.length < 2) say('taper', 'One station cannot show a taper. One near each end would.');
  else if (sections.length < 3) say('belly', 'Two stations cannot show a belly or a bell-mouth. One in the middle would.');
  return said;
}

/** Why it matters what a place hides. */
export interface AtStakeHere {
  readonly suspicions: readonly Suspicion[];
  /** A fit is decided by it. */
  readonly ofAPair: boolean;
  readonly lengthMm: number;
  /** The largest difference between two of its sections' means goes beyond their bands. */
  readonly differs: boolean;
}

/** A place shorter than this bears all along whatever its taper, mm. */
const SHORT_MM = 12;

/** What of it is worth saying: what somebody suspects, and what would change the decision. */
export function worthSaying(spots: readonly BlindSpot[], { suspicions, ofAPair, lengthMm, differs }: AtStakeHere): string[] {
  const has = (s: Suspicion): boolean => suspicions.includes(s);
  const matters: Readonly<Record<BlindSpot['of'], boolean>> = {
    lobes: has('lobed') || has('bearing'),
    oval: has('oval') || has('bearing') || ofAPair,
    taper: has('tapered') || has('bearing') || (ofAPair && lengthMm > SHORT_MM),
    belly: has('tapered') || (ofAPair && differs),
  };
  return spots.filter((s) => matters[s.of]).map((s) => s.text);
}
