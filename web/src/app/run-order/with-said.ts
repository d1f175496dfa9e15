import type { PlanRow, ShopOrderInputs } from '@iron-patch/core/repair/order';
import type { RunChoice } from '@iron-patch/core';

/** The shop as it would be if that was said of an act. */
export const withSaid = (inputs: ShopOrderInputs, { job, act }: PlanRow, said: RunChoice): ShopOrderInputs => ({
  ...inputs,
  jobs: inputs.jobs.map((j) =>
    j.id === job.id ? { ...j, toDo: { ...j.toDo, acts: j.toDo.acts.map((a) => (a.key === act.key ? { ...a, said } : a)) } } : j,
  ),
});
