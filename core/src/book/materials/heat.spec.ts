import { heatJM3K } from './heat';
import { materialOf } from './material';

/** Density times specific heat of the nearest metal in Incropera, appendix A, J/(m³ K). */
const PUBLISHED = [
  ['steel-c45', 7854 * 434],
  ['stainless-304', 7900 * 477],
  ['brass', 8530 * 380],
  ['bronze-phosphor', 8780 * 355],
  ['copper', 8933 * 385],
  ['aluminium-2024', 2770 * 875],
  ['magnesium-cast', 1740 * 1024],
  ['titanium-5', 4500 * 522],
  ['white-metal', 7310 * 227],
] as const;

it.each(PUBLISHED.filter(([id]) => materialOf(id)))('%s holds as much heat as published, within a tenth', (id, published) => {
  const own = heatJM3K(materialOf(id)!);
  expect(Math.abs(own / published - 1)).toBeLessThan(0.1);
});

it('most of them are of the book', () => {
  expect(PUBLISHED.filter(([id]) => materialOf(id)).length).toBeGreaterThanOrEqual(6);
});
