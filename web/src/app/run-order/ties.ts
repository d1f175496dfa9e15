/** A box of the picture: where it begins and ends in hundredths of the width, and how far down its middle lies, px. */
export interface TiedBox {
  readonly key: string;
  /** Keys of what it waits for. */
  readonly after: readonly string[];
  readonly from: number;
  readonly to: number;
  readonly middlePx: number;
}

/** A line from the end of one box to the beginning of another that waits for it. */
export interface Tie {
  readonly key: string;
  readonly path: string;
  /** It begins or ends at the one that is looked at. */
  readonly near: boolean;
}

/** How far behind a box its line turns, in hundredths of the width; half the way where there is less. */
const TURN = 0.6;

/**
 * What waits for what, as lines that go along, down or up, and along. Of what is not in the picture there is none.
 *
 * @param looked key of the box that is looked at
 */
export function tiesOf(boxes: readonly TiedBox[], looked: string | null): Tie[] {
  const byKey = new Map(boxes.map((b) => [b.key, b]));
  return boxes.flatMap((b) =>
    b.after.flatMap((key): Tie[] => {
      const before = byKey.get(key);
      if (!before) return [];
      const turn = before.to + Math.min(TURN, (b.from - before.to) / 2);
      const path = `M ${before.to} ${before.middlePx} H ${turn} V ${b.middlePx} H ${b.from}`;
      return [{ key: `${key} ${b.key}`, path, near: key === looked || b.key === looked }];
    }),
  );
}
