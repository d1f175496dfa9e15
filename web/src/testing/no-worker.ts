/** Stands in for every worker factory under Jest, where there are no web workers. */
export const newWorker = (): Worker => {
  throw new Error('No web workers in a unit test.');
};
