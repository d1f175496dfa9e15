import { newPart, type Block } from '../part';
import type { MillCard } from '../setups';
import { boringOf, boringWays, swingAbout, type BoringId, type BoringWork } from './boring';
import { TEST_LATHE } from './testing-lathe';

const MILL: MillCard = { dial: { unit: 'mm', perTurn: 5, perLine: 0.05 }, readout: null, gearsRpm: [200], longMm: 500, crossMm: 200 };
const WORK: BoringWork = {
  diameterMm: 60,
  lengthMm: 50,
  holes: 1,
  through: true,
  takesMm: 0.2,
  hasHole: true,
  swingsMm: 200,
  roundMm: null,
};
const of = (own: Partial<BoringWork>, on: Partial<{ lathe: typeof TEST_LATHE | null; mill: MillCard | null }> = {}) =>
  boringWays({ ...WORK, ...own }, { lathe: TEST_LATHE, mill: MILL, ...on }, 'mm');
const first = (own: Partial<BoringWork>, on = {}): BoringId => of(own, on)[0]!.id;
const why = (id: BoringId, own: Partial<BoringWork>, on = {}): string => of(own, on).find((c) => c.id === id)!.cannot;

it('a short bore goes to the mill, or to the faceplate where there is none; several to the mill in one setting', () => {
  expect(first({})).toBe('mill-head');
  expect(first({}, { mill: null })).toBe('faceplate');
  expect(of({ holes: 3 }).find((c) => c.id === 'mill-head')!.hold).toContain('in this one setting');
  expect(first({}, { mill: null, lathe: null })).toBe('follow');
});

it('what is deep for its width is bored by a bar between centres; a blind one by none', () => {
  // A bar of 28 in a hole of 40 reaches 112 at four times its thickness.
  expect([111, 113].map((lengthMm) => why('mill-head', { diameterMm: 40, lengthMm }) === '')).toEqual([true, false]);
  expect(first({ diameterMm: 40, lengthMm: 130 })).toBe('carriage-bar');
  expect(why('carriage-bar', { diameterMm: 40, lengthMm: 130, through: false })).toContain('right through');
  expect(why('carriage-bar', { lengthMm: 700 })).toContain('more than Lathe has between centres');
  expect(why('carriage-bar', { diameterMm: 12, lengthMm: 60 })).toContain('it springs');
});

it('what follows the old hole comes last, and takes no more than a hone is asked to', () => {
  expect(
    of({})
      .filter((c) => c.cannot === '')
      .map((c) => c.id)
      .at(-1),
  ).toBe('follow');
  expect(why('follow', { takesMm: 0.5 })).toContain('bore first');
  expect(why('follow', { hasHole: false })).toContain('no hole yet');
});

it('what is round itself goes into the jaws, where its outside was read and the lathe swings it', () => {
  expect(first({ roundMm: 120 })).toBe('jaws');
  expect(why('jaws', { roundMm: null })).toContain('No round outside');
  expect(why('jaws', { roundMm: 340 })).toContain('Lathe swings 330 mm');
  expect(why('jaws', { roundMm: 120, diameterMm: 20, lengthMm: 90 })).toContain('chatters');
  expect(why('jaws', { roundMm: 120 }, { lathe: { ...TEST_LATHE, holdings: [{ kind: 'faceplate', runOutMm: null }] } })).toContain(
    'four-jaw',
  );
});

it('nothing is swung that does not clear the bed', () => {
  expect(why('faceplate', { swingsMm: 331 })).toContain('331 mm, and Lathe 330 mm');
  expect(why('faceplate', { swingsMm: null })).toBe('');
  expect(why('faceplate', {}, { lathe: { ...TEST_LATHE, holdings: [{ kind: 'four-jaw', runOutMm: null }] } })).toContain('no faceplate');
});

describe('of a block', () => {
  const block: Block = {
    ...newPart('link', 'Link', 40, 200).block!,
    ...{ lengthMm: 200, widthMm: 60, heightMm: 40 },
  };
  const bored = { ...block.cuts.find((c) => c.kind === 'hole')!, made: 'bored', reach: 'through', on: 'top' } as Block['cuts'][number] & {
    kind: 'hole';
  };
  it('as deep as it is thick there, as many as are bored, swung about each of them', () => {
    const two = {
      ...block,
      cuts: [
        { ...bored, id: 'p', atMm: 30, upMm: 30, diameterMm: 25 },
        { ...bored, id: 'q', atMm: 170, upMm: 30, diameterMm: 20 },
      ],
    };
    expect(boringOf(two)).toMatchObject({ diameterMm: 20, lengthMm: 40, holes: 2, through: true, hasHole: false });
    expect(boringOf({ ...two, cuts: two.cuts.map((c) => ({ ...c, made: 'drilled' as const })) })).toBeNull();
  });
  it('swings so far that every corner clears: found by going all round the block', () => {
    const at = { on: 'top' as const, atMm: 37, upMm: 22 };
    const corners = [0, 200].flatMap((x) => [0, 60].map((y) => [x, y] as const));
    const most = Math.max(...corners.map(([x, y]) => 2 * Math.sqrt((x - 37) ** 2 + (y - 22) ** 2)));
    expect(swingAbout(block, at)).toBeCloseTo(most, 9);
  });
});
