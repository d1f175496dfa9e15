/** Makes the worker that lays blanks out over the bars of the rack. */
export const newWorker = (): Worker => new Worker(new URL('./saw.worker', import.meta.url), { type: 'module' });
