import { newPart } from '../part';
import { forAnotherJob } from './elsewhere';

it('takes the drawing along and leaves the mates where they are, outside and in the bores', () => {
  const bush = newPart('flanged-bush', 'Bush', 40, 60);
  const fitted = {
    ...bush,
    outside: bush.outside.map((s) => ({ ...s, fitsPlaceIds: ['housing'] })),
    bores: bush.bores.map((b) => ({ ...b, surfaces: b.surfaces.map((s) => ({ ...s, fitsPlaceIds: ['shaft'] })) })),
  };
  expect(fitted.bores.length).toBeGreaterThan(0);
  const there = forAnotherJob(fitted);
  expect(JSON.stringify(there)).not.toMatch(/housing|"shaft"/);
  expect(there).toEqual(forAnotherJob(bush));
  expect(there.outside.map((s) => s.diameterMm)).toEqual(fitted.outside.map((s) => s.diameterMm));
});

it('of a block the bored holes alone are fitted, and are let go', () => {
  const block = newPart('link', 'Link', 40, 120);
  const cuts = block.block!.cuts;
  const fitted = {
    ...block,
    block: { ...block.block!, cuts: cuts.map((c) => ('fitsPlaceIds' in c ? { ...c, fitsPlaceIds: ['pin'] } : c)) },
  };
  expect(JSON.stringify(fitted)).toContain('"pin"');
  expect(forAnotherJob(fitted).block!.cuts).toEqual(cuts);
});
