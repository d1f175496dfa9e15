import { besideWeld, MATERIALS, materialOf, weldReachMm } from '.';

it('reaches as far as EN 1999-1-1, 6.1.6.3, says', () => {
  expect([3, 6, 6.1, 12, 25, 26].map(weldReachMm)).toEqual([20, 20, 30, 30, 35, 40]);
});

it('no metal of the book is stronger beside its weld', () => {
  for (const id of ['steel-1018-drawn', 'steel-4130', 'steel-42crmo4', 'steel-34crnimo6', 'aluminium-6082', 'aluminium-6061']) {
    const [hard, soft] = [materialOf(id)!, besideWeld(materialOf(id)!)!];
    expect([id, soft.yieldMpa! < hard.yieldMpa!, soft.tensileMpa < hard.tensileMpa]).toEqual([id, true, true]);
  }
});

it('steel that was never hard stays as it is, and what the book does not know is not made up', () => {
  const c45 = materialOf('steel-c45')!;
  expect(besideWeld(c45)).toBe(c45);
  expect(besideWeld(materialOf('stainless-17-4')!)).toBeNull();
});

it('hardened and tempered steel is beside a weld about what the book has for it annealed', () => {
  const [soft, annealed] = [besideWeld(materialOf('steel-42crmo4')!)!, materialOf('steel-4140-soft')!];
  expect(Math.abs(soft.tensileMpa / annealed.tensileMpa - 1)).toBeLessThan(0.02);
});

it('has nothing for a metal whose caution says not to weld it', () => {
  for (const m of MATERIALS) if (/do not weld|cannot be welded/i.test(m.caution ?? '')) expect([m.id, besideWeld(m)]).toEqual([m.id, null]);
});
