/// <reference lib="webworker" />
import { drawPlay, type PlayInputs } from '@iron-patch/core/evidence/proof';
import type { PlayMessage } from './play-message';

/** Draws plays and reports between steps; ending the worker cancels it. */
addEventListener('message', ({ data }: MessageEvent<PlayInputs>) => {
  const steps = drawPlay(data);
  const tell = (message: PlayMessage): void => postMessage(message);
  const work = (): void => {
    const step = steps.next();
    if (step.done) return tell({ kind: 'done', result: step.value });
    tell({ kind: 'progress', share: step.value / data.draws });
    setTimeout(work);
  };
  work();
});
