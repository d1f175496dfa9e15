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

describe('in an order that somebody put', () => {
  const jaw = newPart('jaw', 'Jaw', 50, 80).block!;
  const top = (keys: readonly string[]) => blockSetUps(jaw, null, [{ setUp: 2, keys }])[1]!;
  const usual = top([]);

  it('what is cut from a face is done as it was put, and nothing of it is lost or done twice', () => {
    const back = [...usual.acts].reverse().map((a) => a.key);
    expect(top(back).operations).toEqual([...usual.operations].reverse());
    const first = top([back[0]!, 'gone', back[0]!]);
    expect([...first.operations].sort()).toEqual([...usual.operations].sort());
    expect(blockSetUps(jaw, null, [{ setUp: 2, keys: back }])[0]!.operations).toEqual(blockSetUps(jaw)[0]!.operations);
  });

  it('a hole that is sunk or tapped before it is drilled is said; holes one before another are nobody’s fault', () => {
    expect(usual.minds).toEqual([]);
    const of = (id: string) => usual.acts.filter((a) => a.cuts[0] === id);
    const [two] = jaw.cuts.filter((c) => of(c.id).length > 1);
    const [drill, then] = of(two!.id);
    expect(top([then!.key, drill!.key]).minds).toEqual([`“${then!.words}” comes before “${drill!.words}”, which it needs.`]);
    const ids = [...new Set(usual.acts.map((a) => a.cuts[0]!))].reverse();
    expect(top(ids.flatMap((id) => of(id).map((a) => a.key))).minds).toEqual([]);
  });
});
