import { EDGES, edgeSpeed } from './edge-speed';

const mill = { name: 'Mill', gearsRpm: [80, 135, 210, 325, 660, 1115] };
/** Feeds of drills as a textbook has them, in a turn by inch of diameter. */
const DRILL_FEEDS = [
  [0.1, 0.001, 0.002],
  [0.2, 0.002, 0.004],
  [0.375, 0.004, 0.007],
  [0.75, 0.007, 0.015],
  [1.25, 0.015, 0.025],
] as const;

it.each(DRILL_FEEDS)('a drill of %d in is fed within the textbook’s %d to %d in a turn', (inch, least, most) => {
  const feed = EDGES.drill.feed.mm(inch * 25.4) / 25.4;
  expect(feed).toBeGreaterThanOrEqual(least);
  expect(feed).toBeLessThanOrEqual(most);
});

it('a half-inch drill where tools of high-speed steel turn at 100 feet a minute: it goes at 80, and 4 x 80 over 1/2 is 640', () => {
  // The shop's sum takes 4 for 3.82: 611, and 325 is the gear below it.
  expect(edgeSpeed('drill', 30.48, 12.7, null).rpm).toBeCloseTo(611, 0);
  expect(edgeSpeed('drill', 30.48, 12.7, mill)).toMatchObject({ rpm: 325, words: expect.stringContaining('a gear of Mill') as string });
});

it('a thread goes at a quarter of turning, a reamer at half of a drill; nothing faster than the chuck is stamped for', () => {
  expect(edgeSpeed('thread', 30, 25, null).rpm).toBeCloseTo((1000 * 30) / 4 / (Math.PI * 25), 6);
  expect(edgeSpeed('reamer', 30, 25, null).rpm).toBeCloseTo(edgeSpeed('drill', 15, 25, null).rpm, 6);
  expect(edgeSpeed('drill', 100, 10, mill, 300).rpm).toBe(210);
});
