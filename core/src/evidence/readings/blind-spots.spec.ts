import { worthSaying, type BlindSpot } from './blind-spots';
import { planFor } from './measuring-plan';

const all: readonly BlindSpot[] = (['lobes', 'oval', 'taper', 'belly'] as const).map((of) => ({ of, text: of }));
const nothing = { suspicions: [], ofAPair: false, lengthMm: 40, differs: false } as const;

it('of a place that fits nothing and of which nothing is suspected nothing is said', () => {
  expect(worthSaying(all, nothing)).toEqual([]);
});

it.each([
  ['lobed', ['lobes']],
  ['oval', ['oval']],
  ['tapered', ['taper', 'belly']],
  ['bearing', ['lobes', 'oval', 'taper']],
  ['bent', []],
] as const)('suspected %s: %j', (suspicion, said) => {
  expect(worthSaying(all, { ...nothing, suspicions: [suspicion] })).toEqual(said);
});

it('one side of a pair: what would change the fit, a belly only where the stations differ', () => {
  expect(worthSaying(all, { ...nothing, ofAPair: true })).toEqual(['oval', 'taper']);
  expect(worthSaying(all, { ...nothing, ofAPair: true, differs: true })).toEqual(['oval', 'taper', 'belly']);
  expect(worthSaying(all, { ...nothing, ofAPair: true, lengthMm: 8 })).toEqual(['oval']);
});

it('a short pin is planned in five readings or fewer, in either system, on lines of a rule', () => {
  for (const unit of ['mm', 'in'] as const)
    for (const lengthMm of [6, 12, 20, 30]) {
      const { stationsMm, clocksDeg } = planFor({ kind: 'diameter', side: 'outside', startMm: 0, lengthMm, suspicions: [], unit });
      expect(stationsMm.length * clocksDeg.length).toBeLessThanOrEqual(5);
    }
});
