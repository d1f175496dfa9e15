import type { Draft } from './kept-drawing';

/** The way back and the way on again of one drawing; null is the drawing as it is saved. */
export interface DrawingStep {
  readonly back: readonly (Draft | null)[];
  readonly on: readonly (Draft | null)[];
  /** When the last change was made, ms: what is typed in one go is one step. */
  readonly atMs: number;
}
/** By item. */
export type DrawingSteps = Readonly<Record<string, DrawingStep>>;

export const NO_STEPS: DrawingStep = { back: [], on: [], atMs: 0 };
const MOST_STEPS = 200;
/** Changes closer together than this are one: the letters of a word. */
const ONE_GO_MS = 600;

/**
 * After a change of the drawing that was `before`.
 *
 * @param alone a step of its own, however soon it came
 */
export function changed(steps: DrawingStep, before: Draft | null, atMs: number, alone = false): DrawingStep {
  const oneGo = !alone && atMs - steps.atMs < ONE_GO_MS && steps.on.length === 0 && steps.back.length > 0;
  return { back: oneGo ? steps.back : [...steps.back, before].slice(-MOST_STEPS), on: [], atMs: alone ? 0 : atMs };
}

/** One step back or on from `now`; null where there is none that way. */
export function stepped(
  steps: DrawingStep,
  now: Draft | null,
  way: 'back' | 'on',
): { readonly steps: DrawingStep; readonly draft: Draft | null } | null {
  const from = steps[way];
  if (!from.length) return null;
  const other = way === 'back' ? 'on' : 'back';
  const left = { ...steps, atMs: 0, [way]: from.slice(0, -1), [other]: [...steps[other], now] };
  return { steps: left, draft: from.at(-1)! };
}
