/**
 * The screens of the shop: what each is called, its address, and words that stand on it when it is there.
 *
 * @param jobId of the ramp hinge pin's job, once it is known
 */
export const screensOf = (jobId: () => string) =>
  [
    ['the floor', () => '/', 'Ramp hinge pin'],
    ['a new job', () => '/jobs/new', 'Take it in'],
    ['the rack', () => '/rack', 'Put it on the rack'],
    ['the shop', () => '/shop', 'Knee mill'],
    ['the crib', () => '/crib', 'Drills'],
    ['Measure', () => `/jobs/${jobId()}/measure`, 'Barrel bore'],
    ['Receive', () => `/jobs/${jobId()}/receive`, 'Photographs'],
    ['Strip', () => `/jobs/${jobId()}/strip`, 'What came apart'],
    ['Decide', () => `/jobs/${jobId()}/decide`, 'What was'],
    ['Draw', () => `/jobs/${jobId()}/draw`, 'Ramp hinge pin'],
    ['Plan', () => `/jobs/${jobId()}/plan`, 'Ramp hinge pin'],
    ['Cut', () => `/jobs/${jobId()}/cut`, 'Ramp hinge pin'],
    ['Prove', () => `/jobs/${jobId()}/prove`, 'Ramp hinge pin'],
    ['Return', () => `/jobs/${jobId()}/return`, 'Ramp hinge pin'],
    ['Find', () => '/find?for=pin', 'In the jobs'],
    ['Sums', () => '/sums/sum/press', 'Look up, or find a sum'],
  ] as const;
