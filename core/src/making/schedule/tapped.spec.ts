import { findThread } from '../../book/threads';
import { tappedHole } from './tapped';

const bench = { mill: null, drillSets: [], hssMMin: 24, finderMm: 10, unit: 'in' } as const;
const of = (name: string) => tappedHole({ id: 'h', name: 'for bush' }, findThread(name)!, bench)!;

// Tapping drills as workshop charts print them, mm.
it.each([
  ['M8', 6.8],
  ['M10 x 1.25', 8.8],
  ['5/16 BSF', 6.8],
  ['3/8 BSF', 8.3],
  ['1/2 BSF', 11.1],
  ['9/16 BSF', 12.7],
  ['1/2-13 UNC', 10.7],
])('%s: the last drill is the chart’s, %f mm, to a quarter of a millimetre', (name, mm) => {
  const drills = of(name).settings.filter((s) => s.figure.key.includes('.drill-'));
  expect(Math.abs(drills.at(-1)!.figure.value - mm)).toBeLessThan(0.25);
  expect(drills.at(-1)!.figure.label).toMatch(/^drill, ./);
});

it('asks for its tap, and none for a taper thread, which has drills of its own', () => {
  expect(of('M8').tools).toEqual([{ kind: 'tap', thread: 'M8' }]);
  const pipe = findThread('1/4-18 NPT');
  if (pipe) expect(tappedHole({ id: 'h', name: '' }, pipe, bench)).toBeNull();
});
