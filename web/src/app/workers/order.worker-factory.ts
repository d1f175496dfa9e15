/** Makes the worker that puts the acts of the shop in order. */
export const newWorker = (): Worker => new Worker(new URL('./order.worker', import.meta.url), { type: 'module' });
