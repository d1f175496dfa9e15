import type { Mark, MarkStyle } from './sum';

/** A circle about (x, y), mm. */
export const circle = (r: number, style: MarkStyle = 'part', x = 0, y = 0): Mark => ({ kind: 'circle', x, y, r, style });

/** An open line through points, mm. */
export const line = (style: MarkStyle, ...points: (readonly [number, number])[]): Mark => ({ kind: 'line', points, style });

/** A closed line through points, mm. */
export const outline = (style: MarkStyle, ...points: (readonly [number, number])[]): Mark => ({
  kind: 'line',
  points,
  closed: true,
  style,
});

/** A rectangle from its lower left corner, mm. */
export const rectangle = (x: number, y: number, width: number, height: number, style: MarkStyle = 'part'): Mark =>
  outline(style, [x, y], [x + width, y], [x + width, y + height], [x, y + height]);

/** A size with its text between two points, mm. */
export const size = (text: string, from: readonly [number, number], to: readonly [number, number]): Mark => ({
  kind: 'size',
  text,
  from,
  to,
});

/** Centre lines of a round part, a little longer than it. */
export const cross = (r: number, x = 0, y = 0): Mark[] => [
  line('centre', [x - r * 1.15, y], [x + r * 1.15, y]),
  line('centre', [x, y - r * 1.15], [x, y + r * 1.15]),
];

/** A ring in section across the axis: outside and bore. */
export const ringMarks = (outsideMm: number, boreMm: number, style: MarkStyle = 'part'): Mark[] => [
  circle(outsideMm / 2, style),
  circle(boreMm / 2, style),
];

const polar = (r: number, deg: number): readonly [number, number] => [
  r * Math.cos((deg * Math.PI) / 180),
  r * Math.sin((deg * Math.PI) / 180),
];

/** An arc of radius `r` mm about x, y as a chain of short lines. */
export const arc = (style: MarkStyle, r: number, fromDeg: number, toDeg: number, x = 0, y = 0): Mark =>
  line(
    style,
    ...Array.from({ length: 33 }, (_, i): readonly [number, number] => {
      const [px, py] = polar(r, fromDeg + ((toDeg - fromDeg) * i) / 32);
      return [x + px, y + py];
    }),
  );

/** A V-thread along the axis over some pitches: crest and root radius. */
export function threadMarks(majorMm: number, rootMm: number, pitchMm: number, pitches: number, style: MarkStyle = 'part'): Mark[] {
  const top = Array.from({ length: pitches * 2 + 1 }, (_, i): readonly [number, number] => [
    (i * pitchMm) / 2,
    (i % 2 === 0 ? rootMm : majorMm) / 2,
  ]);
  return [
    line(style, ...top),
    line(style, ...top.map(([x, y]): readonly [number, number] => [x, -y])),
    line('centre', [-pitchMm / 2, 0], [(pitches + 0.5) * pitchMm, 0]),
  ];
}
