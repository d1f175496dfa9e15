import { INSTRUMENT_KINDS } from './instruments.data';
import { usualInstruments } from './usual-instruments.data';

it.each(['mm', 'in'] as const)('a shop of %s sees its own first, each name once, every range from small to large', (unit) => {
  const all = usualInstruments(unit);
  expect(all[0]!.unit).toBe(unit);
  expect(new Set(all.map((i) => i.name)).size).toBe(all.length);
  for (const i of all) {
    expect(i.rangeHighMm).toBeGreaterThan(i.rangeLowMm);
    expect(Object.keys(INSTRUMENT_KINDS)).toContain(i.kind);
  }
});

it('outside mics follow one another without a gap in either unit', () => {
  for (const unit of ['mm', 'in'] as const) {
    const mics = usualInstruments(unit).filter((i) => i.kind === 'micrometer' && i.unit === unit);
    mics.slice(1).forEach((m, i) => expect(m.rangeLowMm).toBeCloseTo(mics[i]!.rangeHighMm, 9));
  }
});
