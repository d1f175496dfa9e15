import { closesAnywhere, dialMarks, halfNutWords } from './half-nuts';

const tpi = (n: number): number => 25.4 / n;
/** 8 to the inch, a wheel of 32 teeth, 4 numbered lines with one between each: half an inch from line to line. */
const DIAL = { teeth: 32, marks: 8 };

it('the rule on every such lathe: even threads at any line, odd ones at a numbered one, halves at opposite ones, quarters at one', () => {
  for (const even of [4, 6, 10, 12, 14, 18, 20]) expect(dialMarks(tpi(even), tpi(8), DIAL)).toHaveLength(8);
  for (const odd of [5, 7, 9, 11, 13, 19, 27]) expect(dialMarks(tpi(odd), tpi(8), DIAL)).toEqual([0, 2, 4, 6]);
  for (const half of [4.5, 5.5, 11.5]) expect(dialMarks(tpi(half), tpi(8), DIAL)).toEqual([0, 4]);
  expect(dialMarks(tpi(5.75), tpi(8), DIAL)).toEqual([0]);
  expect(dialMarks(1.5, tpi(8), DIAL)).toEqual([]);
});

it('a metric screw of 6 mm with a wheel of 30: found by turning work and screw until they meet again', () => {
  // The carriage may be let go and taken up wherever both screws have turned a whole number of times.
  const turned = (leadMm: number, k: number): boolean => {
    const carriageMm = (k * 30 * 6) / 10;
    return [carriageMm / leadMm, carriageMm / 6].every((n) => Math.abs(n - Math.round(n)) < 1e-9);
  };
  for (const lead of [1, 1.25, 1.5, 1.75, 2, 2.5, 3.5, 4, 4.5]) {
    const marks = dialMarks(lead, 6, { teeth: 30, marks: 10 });
    expect(marks).toEqual(turned(lead, 10) ? [...Array(10).keys()].filter((k) => turned(lead, k)) : []);
  }
});

it('in a sentence, with a dial, without, and where none is needed', () => {
  expect(halfNutWords(tpi(16), tpi(8), DIAL)).toBe('The half-nuts may close anywhere.');
  expect(halfNutWords(tpi(12), tpi(8), DIAL)).toContain('any of the thread dial’s 8 lines');
  expect(halfNutWords(tpi(13), tpi(8), DIAL)).toContain('every second line');
  expect(halfNutWords(tpi(11.5), tpi(8), DIAL)).toContain('every fourth line');
  expect(halfNutWords(tpi(5.75), tpi(8), DIAL)).toContain('one line of the thread dial only');
  expect(halfNutWords(2.5, tpi(8), DIAL)).toContain('stay closed');
  expect(halfNutWords(tpi(13), tpi(8), null)).toContain('by the thread dial');
  expect(halfNutWords(2.5, tpi(8), null)).toContain('stay closed');
  expect([closesAnywhere(6, 3), closesAnywhere(3, 6), closesAnywhere(4, 6)]).toEqual([false, true, false]);
});
