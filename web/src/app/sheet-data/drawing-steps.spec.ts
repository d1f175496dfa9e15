import type { Draft } from './kept-drawing';
import { changed, NO_STEPS, stepped, type DrawingStep } from './drawing-steps';

const draft = (from: number): Draft => ({ part: { name: String(from) } as Draft['part'], from });
const after = (ms: readonly number[]): DrawingStep => ms.reduce((steps, atMs, i) => changed(steps, i ? draft(i) : null, atMs), NO_STEPS);

type Way = NonNullable<ReturnType<typeof stepped>>;

it('goes back change by change to what is saved, and on again', () => {
  let steps = after([1000, 5000, 9000]);
  let now: Draft | null = draft(3);
  for (const expected of [draft(2), draft(1), null]) {
    const got: Way = stepped(steps, now, 'back')!;
    expect(got.draft).toEqual(expected);
    [steps, now] = [got.steps, got.draft];
  }
  expect(stepped(steps, now, 'back')).toBeNull();
  for (const expected of [draft(1), draft(2), draft(3)]) {
    const got: Way = stepped(steps, now, 'on')!;
    expect(got.draft).toEqual(expected);
    [steps, now] = [got.steps, got.draft];
  }
  expect(stepped(steps, now, 'on')).toBeNull();
});

it('takes what is typed in one go as one step, and not two things on two sides of a step back', () => {
  expect(after([1000, 1100, 1200]).back).toEqual([null]);
  const back = stepped(after([1000, 5000]), draft(2), 'back')!;
  expect(changed(back.steps, back.draft, 5100)).toMatchObject({ back: [null, draft(1)], on: [] });
});

it('keeps a bounded number of steps', () => {
  expect(after(Array.from({ length: 500 }, (_, i) => 1000 * (i + 1))).back).toHaveLength(200);
});
