/** What people call things, and the book's own word; searched by either. Lower case. */
const SYNONYMS: Readonly<Record<string, string>> = {
  circlip: 'ring',
  circlips: 'ring',
  'snap-ring': 'ring',
  snapring: 'ring',
  'e-clip': 'ring',
  eclip: 'ring',
  'e-ring': 'ring',
  cotter: 'split',
  'cotter-pin': 'split',
  'half-moon': 'woodruff',
  halfmoon: 'woodruff',
  oring: 'o-ring',
  'oil-seal': 'seal',
  'shaft-seal': 'seal',
  rotary: 'seal',
  keyway: 'key',
  keyseat: 'key',
  feather: 'key',
  gunmetal: 'cusn12',
  brg: 'bearing',
  bit: 'drill',
  tapping: 'thread',
  tap: 'thread',
  bolt: 'thread',
  nut: 'thread',
  stud: 'thread',
  grub: 'thread',
  'set-screw': 'thread',
  whitworth: 'bsw',
  coarse: 'unc',
  trapezoid: 'tr',
  nylon: 'pa',
  alloy: 'aluminium',
};

/** Words as typed, with the book's own in place of what people call it: `snap ring` is `ring`, `grub screw` a thread. */
export function inBookWords(typed: readonly string[]): string[] {
  const out: string[] = [];
  for (let i = 0; i < typed.length; i++) {
    const pair = typed[i + 1] === undefined ? undefined : SYNONYMS[`${typed[i]}-${typed[i + 1]}`];
    const word = pair ?? SYNONYMS[typed[i]!] ?? typed[i]!;
    if (pair) i++;
    // Words that only say what kind of thing it is beside another of the same.
    if (
      !(
        word === 'no.' ||
        word === 'no' ||
        word === 'nr' ||
        word === 'screw' ||
        word === 'for' ||
        word === 'a' ||
        word === 'of' ||
        word === 'the'
      ) &&
      !out.includes(word)
    )
      out.push(word);
  }
  return out;
}
