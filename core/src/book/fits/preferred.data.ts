/** Fits to reach for first: ISO 286-1 preferred pairs (names after ANSI B4.2) and the classes of ANSI B4.1, with when. */
export const PREFERRED_FITS = [
  { fit: 'H11/c11', name: 'Loose running', kind: 'runs', when: 'Wide play: farm gear, outdoor hinges, parts that get paint or dirt.' },
  {
    fit: 'H9/d9',
    name: 'Free running',
    kind: 'runs',
    when: 'High speed, big temperature changes or heavy journal pressure; accuracy does not matter.',
  },
  { fit: 'H8/f7', name: 'Close running', kind: 'runs', when: 'Accurate running at moderate speed and pressure on an accurate machine.' },
  { fit: 'H7/f7', name: 'Running, fine hole', kind: 'runs', when: 'Running shaft in a reamed hole, oil film.' },
  { fit: 'H8/e8', name: 'Easy running', kind: 'runs', when: 'Long or several bearings in line, quick running with oil.' },
  { fit: 'H7/g6', name: 'Sliding', kind: 'slides', when: 'Moves and turns freely but locates; not meant to run.' },
  {
    fit: 'H7/h6',
    name: 'Locating, clearance',
    kind: 'slides',
    when: 'Snug for parts that stand still, put together and taken apart by hand.',
  },
  { fit: 'H8/h7', name: 'Locating, easy', kind: 'slides', when: 'As H7/h6 with a bored hole.' },
  { fit: 'H7/js6', name: 'Locating, light tap', kind: 'taps', when: 'Hand or soft hammer; often taken apart.' },
  {
    fit: 'H7/k6',
    name: 'Locating, transition',
    kind: 'taps',
    when: 'Exact place with a little play or a little interference; soft hammer.',
  },
  { fit: 'H7/n6', name: 'Locating, tight', kind: 'taps', when: 'Exact place, interference mostly; press or hammer.' },
  { fit: 'H7/p6', name: 'Locating, interference', kind: 'presses', when: 'Stiff and exact without much bore pressure; bushes in iron.' },
  { fit: 'H7/r6', name: 'Light press', kind: 'presses', when: 'Bushes and rings that carry a little, in steel or iron.' },
  {
    fit: 'H7/s6',
    name: 'Medium drive',
    kind: 'presses',
    when: 'Ordinary steel parts, shrink on light sections; about the tightest for cast iron.',
  },
  { fit: 'H7/u6', name: 'Force', kind: 'presses', when: 'Parts that can be highly stressed, or a shrink where pressing is impractical.' },
  { fit: 'RC2', name: 'Sliding', kind: 'slides', when: 'Locates, moves and turns easily, not meant to run free.' },
  { fit: 'RC4', name: 'Close running', kind: 'runs', when: 'Accurate machinery at moderate speed and pressure.' },
  { fit: 'RC5', name: 'Medium running', kind: 'runs', when: 'Higher speeds, heavier pressures.' },
  { fit: 'RC7', name: 'Free running', kind: 'runs', when: 'Accuracy not essential, or large temperature changes.' },
  { fit: 'RC9', name: 'Loose running', kind: 'runs', when: 'Wide commercial tolerances, cold rolled shafting or tube as it comes.' },
  { fit: 'LC2', name: 'Locating, clearance', kind: 'slides', when: 'Stands still, goes together by hand.' },
  { fit: 'LT3', name: 'Locating, transition', kind: 'taps', when: 'Exact place, slight play or slight interference allowed.' },
  { fit: 'LN2', name: 'Locating, interference', kind: 'presses', when: 'Stiff and exact where the place is what matters.' },
  { fit: 'FN1', name: 'Light drive', kind: 'presses', when: 'Thin sections, long fits, cast iron outside.' },
  { fit: 'FN2', name: 'Medium drive', kind: 'presses', when: 'Ordinary steel, shrink on light sections; the tightest for good cast iron.' },
  { fit: 'FN3', name: 'Heavy drive', kind: 'presses', when: 'Heavier steel parts, shrink on medium sections.' },
  { fit: 'FN4', name: 'Force', kind: 'presses', when: 'Parts that can be highly stressed, shrink where pressing is impractical.' },
] as const satisfies readonly PreferredFit[];

export interface PreferredFit {
  /** `H7/g6` or a class such as `RC4`. */
  readonly fit: string;
  readonly name: string;
  /** What the pair does at its middle. */
  readonly kind: 'runs' | 'slides' | 'taps' | 'presses';
  readonly when: string;
}
