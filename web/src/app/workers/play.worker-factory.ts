/** Makes the worker that draws play distributions. */
export const newWorker = (): Worker => new Worker(new URL('./play.worker', import.meta.url), { type: 'module' });
