import { newPart } from '../part';
import { blockSetUps } from './block-set-ups';

it('is squared first, then every face from which something is cut, once, with what is cut from it', () => {
  const jaw = newPart('jaw', 'Jaw', 50, 80).block!;
  const setUps = blockSetUps(jaw);
  expect(setUps.map((s) => [s.number, s.title])).toEqual([
    [1, 'Square the block'],
    [2, 'From the top'],
    [3, 'From the right end'],
  ]);
  for (const { name } of jaw.cuts)
    expect(setUps.slice(1).filter((s) => s.operations.some((o) => o.startsWith(`${name}:`)))).toHaveLength(1);
});

it('where something is drilled the block is clamped, and that is said', () => {
  const [, top, end] = blockSetUps(newPart('jaw', 'Jaw', 50, 80).block!);
  expect(top!.cautions.join()).toContain('clamped');
  expect(end!.cautions.join()).not.toContain('drill');
});

it('a block with nothing cut into it is only squared', () => expect(blockSetUps(newPart('block', 'Block', 50, 80).block!)).toHaveLength(1));
