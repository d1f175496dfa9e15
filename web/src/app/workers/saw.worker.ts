/// <reference lib="webworker" />
import { cutStock } from '@iron-patch/core/making/stock';
import type { SawMessage, SawQuestion } from './saw-message';

/** Lays blanks out and reports between steps; ending the worker cancels it. */
addEventListener('message', ({ data: { needs, bars, options } }: MessageEvent<SawQuestion>) => {
  const tell = (message: SawMessage): void => postMessage(message);
  const steps = cutStock(needs, bars, options);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return tell({ kind: 'done', plan: step.value });
    tell({ kind: 'progress', ways: step.value });
  }
});
