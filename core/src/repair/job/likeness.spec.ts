import { choiceKey } from './choices';
import { comebackOf, doneBefore } from './done-before';
import { LIKE_FROM, likeness, traitsOf, type JobTraits } from './likeness';
import type { JobSheet } from './records';
import { testReading, testSheet, withChoices } from './testing';

const traits = (more: Partial<JobTraits> = {}): JobTraits => ({
  ...{ customerId: 'ferry', machine: 'Lake ferry, bow ramp', title: 'Ramp hinge pin', findingIds: [], causeId: null, sizes: [] },
  ...more,
});
const score = (a: Partial<JobTraits>, b: Partial<JobTraits>): number => likeness(traits(a), traits(b), 'mm').score;
const other = { customerId: 'co-op', machine: 'Orchard sprayer', title: 'Pump shaft' };

describe('how like two jobs are', () => {
  it('is the same seen from either', () => {
    const a = traits({ findingIds: ['bent', 'chrome-scored'], sizes: [{ name: 'Rod', side: 'outside', mm: 39.96 }] });
    const b = traits({ ...other, findingIds: ['bent'], sizes: [{ name: 'Shaft', side: 'outside', mm: 40.02 }] });
    expect(likeness(a, b, 'mm').score).toBeCloseTo(likeness(b, a, 'mm').score, 12);
    expect(likeness(a, b, 'mm').because).toEqual(['screw or rod bent', 'shaft of 40.020 mm']);
  });

  it('the same machine says most; another customer’s is only alike; words that say nothing do not count', () => {
    const same = score({ title: 'Pin' }, { title: 'Bush' });
    const alike = score({ title: 'Pin' }, { title: 'Bush', customerId: 'co-op' });
    expect(same).toBeGreaterThan(alike);
    expect(alike).toBeGreaterThan(0);
    expect(
      score({ title: 'New pin for the old one', machine: 'x1' }, { title: 'New seat for the old lid', machine: 'y2', customerId: 'z' }),
    ).toBe(0);
    expect(score({}, other)).toBe(0);
  });

  it('sizes count on the same side and no further than a few, and a size a tenth off not at all', () => {
    const at = (mm: number, side: 'inside' | 'outside' = 'outside') => ({ name: 'Seat', side, mm });
    expect(score({ ...other, sizes: [at(25)] }, { title: 'x', sizes: [at(25.02)] })).toBeGreaterThan(0);
    expect(score({ ...other, sizes: [at(25)] }, { title: 'x', sizes: [at(25.02, 'inside')] })).toBe(0);
    expect(score({ ...other, sizes: [at(25)] }, { title: 'x', sizes: [at(27.5)] })).toBe(0);
    const many = Array.from({ length: 30 }, (_, i) => at(10 + i));
    expect(score({ ...other, sizes: many }, { title: 'x', sizes: many })).toBeLessThan(LIKE_FROM);
    // One seat there is no witness for two here.
    expect(score({ ...other, sizes: [at(25), at(25)] }, { title: 'x', sizes: [at(25)] })).toBe(
      score({ ...other, sizes: [at(25)] }, { title: 'x', sizes: [at(25)] }),
    );
  });

  it('takes the mean of what was read as found, what was put right left out', () => {
    const { sizes } = traitsOf(testSheet());
    const sheet = testSheet();
    const wrong = testReading({ placeId: sheet.places[0]!.id, valueMm: 400 });
    const gone = { ...wrong, id: 'gone', supersedesId: wrong.id, withdrawn: true };
    expect(traitsOf({ ...sheet, readings: [...sheet.readings, wrong, gone] }).sizes).toEqual(sizes);
  });
});

describe('jobs that were done before', () => {
  const job = (id: string, number: number, more: Partial<JobSheet['job']> = {}): JobSheet => {
    const base = testSheet();
    return { ...base, job: { ...base.job, id, number, ...more } };
  };
  const mine = job('mine', 9);
  const handed = (s: JobSheet, lesson: string): JobSheet =>
    withChoices(s, [choiceKey.returned, { lesson, stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' }]);
  const none = { title: 'Curtain rail', machine: 'Stage', customerId: 'school' };
  const unlike = { ...job('far', 3, none), readings: [] };

  it('are told the likest first, handed back before what is still here, with their lesson; none that is like by accident', () => {
    const found = doneBefore(mine, [mine, job('here', 4), handed(job('done', 2), 'Grease it'), unlike], []);
    expect(found.map((d) => d.jobId)).toEqual(['done', 'here']);
    expect(found[0]).toMatchObject({ lesson: 'Grease it', cameBack: [] });
    expect(found[0]!.because).toContain('the same machine');
  });

  it('say where they came back, and the one that this is stands first, like or not', () => {
    const back = withChoices(mine, [choiceKey.comeback, { ofJobId: 'far', why: 'Squeaks again' }]);
    expect(comebackOf(back)).toEqual({ ofJobId: 'far', why: 'Squeaks again' });
    const found = doneBefore(back, [handed(job('done', 2), ''), unlike], [{ ofJobId: 'far', jobId: 'mine', number: 9 }]);
    expect(found.map((d) => [d.jobId, d.cameBack.length])).toEqual([
      ['far', 1],
      ['done', 0],
    ]);
  });
});
