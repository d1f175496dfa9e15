import { patchState, type WritableStateSource } from '@ngrx/signals';
import { versionOfChoice, type JobItem, type JobSheet, type Part } from '@iron-patch/core';
import { changed, NO_STEPS, stepped, type DrawingSteps } from './drawing-steps';
import { keepDrawing, type Draft, type Drafts } from './kept-drawing';
import type { SheetState } from './sheet-state';

/** What drawing needs of the store of the sheet. */
interface DrawingStore extends WritableStateSource<SheetState> {
  item(): JobItem | null;
  sheet(): JobSheet | null;
  drafts(): Drafts;
  steps(): DrawingSteps;
}

/** Drawing on the item in hand without saving, and going back and on. What is not saved is kept in this browser: a reload loses nothing. */
export function drawingsOf(store: DrawingStore, jobId: () => string) {
  const inHand = (): Draft | null => store.drafts()[store.item()!.id] ?? null;
  const stepsNow = () => store.steps()[store.item()!.id] ?? NO_STEPS;
  const redraw = (draft: Draft | null, step = NO_STEPS): void => {
    const { id } = store.item()!;
    keepDrawing(jobId(), id, draft);
    patchState(store, ({ drafts: { [id]: _, ...others }, steps }) => ({
      drafts: draft ? { ...others, [id]: draft } : others,
      steps: { ...steps, [id]: step },
    }));
  };
  return {
    /**
     * Draws on; null forgets what was not saved, which can be taken back too.
     *
     * @param alone a step of its own on the way back, and not one letter of several
     */
    draft(part: Part | null, alone = false): void {
      const before = inHand();
      const from = before?.from ?? versionOfChoice(store.sheet()!, store.item()!.partKey);
      redraw(part && { part, from }, changed(stepsNow(), before, Date.now(), alone));
    },
    /** It is saved: nothing before is gone back to. */
    drawingSaved: (): void => redraw(null),
    /** A step back or on; false where there is none that way. */
    stepDrawing(way: 'back' | 'on'): boolean {
      const step = store.item() && stepped(stepsNow(), inHand(), way);
      if (step) redraw(step.draft, step.steps);
      return step !== null;
    },
  };
}
