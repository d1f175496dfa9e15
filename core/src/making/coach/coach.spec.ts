import { advise, countAgain, type CoachSettings } from './coach';
import type { CutRecord } from './tool-habit';

const lathe = { cross: { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' } } as const;
const settings: CoachSettings = {
  lathe,
  unit: 'mm',
  limits: { lowerMm: 40.033, upperMm: 40.049 },
  leastChipMm: 0.05,
  roughMostMm: 4,
  finishMm: 0.6,
  part: { tempC: 20, shopC: 20, alphaPerK: 11.5e-6 },
  plusMinusMm: 0.004,
  side: 'outside',
  rises: false,
  noDust: false,
};
const cut = (dial: number, measuredMm: number): CutRecord => ({ dial, measuredMm });

it('wants a measured skim first', () => {
  expect(advise([], settings).state).toBe('measure-first');
});

it('roughs to the finishing allowance in equal cuts', () => {
  const a = advise([cut(0, 46)], settings);
  expect(a).toMatchObject({ state: 'cut', leftMm: expect.closeTo(5.959, 6), cutsLeft: 4, nextMm: expect.closeTo(46 - 5.359 / 2, 6) });
  expect(a.nextDial).toBeCloseTo(5.359 / 4 / 25.4, 6);
});

it('takes what is left in two equal cuts on a radius dial', () => {
  const a = advise([cut(0.2315, 40.625)], settings);
  expect(a).toMatchObject({ cutsLeft: 2, nextMm: expect.closeTo(40.333, 6) });
  expect(a.turnIn).toBeCloseTo(0.292 / 2 / 25.4, 6);
});

it('takes nothing off for less than is read: near the middle it stops, and a trial that tells more says that it is in', () => {
  // k5 of 30 mm, 9 µm wide, read to 4 µm: 1.1 µm over its middle.
  const k5 = { ...settings, limits: { lowerMm: 30.002, upperMm: 30.011 } };
  const a = advise([cut(0, 30.4), cut(0.0077, 30.0076)], k5);
  expect(a).toMatchObject({ state: 'close', nextDial: null, abrasive: false });
  expect(a.sentences[0]).toContain('Near the middle of the limits');
  expect(advise([cut(0, 30.4), cut(0.0077, 30.0076)], { ...k5, knownMm: 0.001 }).state).toBe('in');
  expect(advise([cut(0, 30.4), cut(0.0075, 30.018)], k5).state).not.toBe('close');
});

describe('learning the tool', () => {
  it('calls no cut the last one that is to stop short of the limits', () => {
    // The dial went in by 0.3 and came back with 0.27 and 0.28: what is left, 0.11, is not ventured in one go into a band of 14 µm.
    const narrow = { ...settings, limits: { lowerMm: 41.333, upperMm: 41.347 }, plusMinusMm: 0.004 };
    const dialled = (mm: number): number => mm / 50.8;
    const shy = advise([cut(0, 42), cut(dialled(0.3), 41.73), cut(dialled(0.6), 41.45)], narrow);
    expect(shy.nextMm).toBeGreaterThan(narrow.limits.upperMm);
    expect(shy.cutsLeft).toBe(2);
    expect(shy.sentences.join(' ')).toContain('stops short of the limits on purpose');
    expect(shy.sentences.join(' ')).not.toContain('Last cut');
    // With limits ten times as wide the same cut is the last.
    const wide = { ...narrow, limits: { lowerMm: 41.27, upperMm: 41.41 } };
    expect(advise([cut(0, 42), cut(dialled(0.3), 41.73), cut(dialled(0.6), 41.45)], wide)).toMatchObject({ cutsLeft: 1 });
  });

  it('comes home within the limits when the tool keeps its habit', () => {
    let diameter = 46;
    let cuts = [cut(0, diameter)];
    for (let i = 0; i < 12; i++) {
      const a = advise(cuts, settings);
      if (a.state !== 'cut') break;
      diameter -= a.turnIn! * 2 * 25.4 * 0.995;
      cuts = [...cuts, cut(a.nextDial!, diameter)];
    }
    // Of limits 0.016 wide the last hair is left on, which can be taken off.
    expect(advise(cuts, settings).state).toMatch(/in|polish/);
    expect(diameter).toBeGreaterThan(settings.limits.lowerMm);
    expect(diameter).toBeLessThan(settings.limits.upperMm + 0.006);
  });

  it('goes in by what is to come off while nothing is known, then by what the tool does', () => {
    expect(advise([cut(0, 41)], settings)).toMatchObject({ nextPlusMinusMm: null, standingMm: 0 });
    // Asked for 0.4 on the diameter it took 0.3, and a tenth more when it went in by 0.4 again.
    const mm = (inches: number): number => 2 * 25.4 * inches;
    const a = advise([cut(0, 42), cut(0.4 / 50.8, 41.7), cut(0.8 / 50.8, 41.325)], settings);
    expect(mm(a.turnIn!)).toBeGreaterThan(0);
    expect(a.nextPlusMinusMm).toBeGreaterThan(0);
    expect(a.sentences.join(' ')).toContain('still stands before the tool');
  });

  it('takes a spring pass where what is left is what the tool was pushed away from', () => {
    // A tool that springs by a fifth, zeroed on a skim of 0.3: 0.098 stands before it, and a pass takes 0.079 of it.
    const springy = [cut(0, 42), cut(1 / 50.8, 41.152), cut(1.6 / 50.8, 40.5024), cut(1.93 / 50.8, 40.1085)];
    const wide = { ...settings, leastChipMm: 0.01, limits: { lowerMm: 39.99, upperMm: 40.065 } };
    const a = advise(springy, wide);
    expect(a).toMatchObject({ state: 'spring', turnIn: 0, nextDial: 1.93 / 50.8 });
    expect(Math.abs(a.nextMm! - 40.0297)).toBeLessThan(0.01);
    // Nor is it taken on a warm part.
    expect(advise(springy, { ...wide, part: { ...wide.part, tempC: 31 } }).state).toBe('cool');
    // Once is enough: what is read again at the same setting is not taken for another pass.
    expect(advise([...springy, cut(1.93 / 50.8, 40.1)], wide).state).not.toBe('spring');
  });
});

describe('when not to cut', () => {
  it('stops inside the limits, and under them', () => {
    expect(advise([cut(0, 40.041)], settings).state).toBe('in');
    expect(advise([cut(0, 40.02)], settings).state).toBe('under');
  });
  it('calls nothing inside that the instrument cannot tell from outside (ISO 14253-1)', () => {
    expect(advise([cut(0, 40.036)], settings)).toMatchObject({ state: 'close', sentences: [expect.stringContaining('lower limit')] });
    expect(advise([cut(0, 40.0475)], settings).state).toBe('polish');
    expect(advise([cut(0, 40.041)], { ...settings, plusMinusMm: 0.04 })).toMatchObject({
      state: 'close',
      sentences: [expect.stringContaining('finer instrument')],
    });
    expect(advise([cut(0, 40.03)], settings).sentences[0]).toContain('before it is given up');
  });
  it('never sends a file, emery or a grinder to metal whose dust is a danger', () => {
    for (const left of [0.02, 0.05, 0.09])
      expect(advise([cut(0, 40.041 + left)], { ...settings, noDust: true })).toMatchObject({
        state: 'polish',
        abrasive: false,
        sentences: [expect.any(String), expect.stringContaining('No file, emery or grinder')],
      });
    expect(advise([cut(0, 40.06)], settings).abrasive).toBe(true);
    expect(advise([cut(0, 40.12)], settings).abrasive).toBe(false);
  });
  it('hands a cut thinner than the chip to emery, file or grinder', () => {
    expect(advise([cut(0, 40.06)], settings)).toMatchObject({
      state: 'polish',
      sentences: [expect.any(String), expect.stringContaining('Emery')],
    });
    expect(advise([cut(0, 40.12)], settings).sentences[1]).toContain('steel tool');
    expect(advise([cut(0, 40.07)], { ...settings, leastChipMm: 0.01 }).state).toBe('cut');
  });
  it('lets a warm part cool before the last cut, not before an earlier one', () => {
    const warm = { ...settings, part: { ...settings.part, tempC: 31, shopC: 19.5 } };
    expect(advise([cut(0, 40.333), cut(0.01, 40.2)], warm)).toMatchObject({
      state: 'cool',
      sentences: [expect.stringContaining('0.005 mm big')],
    });
    expect(advise([cut(0, 40.625)], warm).state).toBe('cut');
  });
});

describe('at the boring bar', () => {
  const bore: CoachSettings = { ...settings, side: 'inside', limits: { lowerMm: 40, upperMm: 40.025 }, leastChipMm: 0.01 };
  /** A bar that springs off by a tenth of what it should take. */
  const take = (sizeMm: number, fromDial: number, toDial: number): number => sizeMm + Math.max(0, 0.9 * 2 * 25.4 * (fromDial - toDial));

  it.each([37, 38.2, 39.3, 39.8])('brings a springy bar from %d to size, and never past it', (startMm) => {
    const cuts = [cut(0.8, startMm)];
    for (let i = 0; i < 20; i++) {
      const a = advise(cuts, bore);
      if (a.state !== 'cut') break;
      const last = cuts.at(-1)!;
      cuts.push(cut(a.nextDial!, take(last.measuredMm, last.dial, a.nextDial!)));
    }
    expect(cuts.at(-1)!.measuredMm).toBeGreaterThan(39.97);
    expect(cuts.at(-1)!.measuredMm).toBeLessThanOrEqual(40.025);
  });
  it.each([37, 38.2, 39.3, 39.8])('in a boring head, whose dial rises as the hole grows, it comes from %d to the same sizes', (startMm) => {
    const [falls, rises] = [[cut(0, startMm)], [cut(0, startMm)]];
    for (let i = 0; i < 20; i++) {
      const [a, b] = [advise(falls, bore), advise(rises, { ...bore, rises: true })];
      expect(b).toEqual({ ...a, nextDial: a.nextDial && -a.nextDial, sentences: expect.anything() as unknown });
      expect(b.sentences.join()).not.toContain('compound');
      if (a.state !== 'cut') break;
      const last = falls.at(-1)!;
      const mm = take(last.measuredMm, last.dial, a.nextDial!);
      falls.push(cut(a.nextDial!, mm));
      rises.push(cut(b.nextDial!, mm));
    }
    expect(rises.at(-1)!.dial).toBeGreaterThan(0);
    expect(countAgain(rises, rises.at(-1)!.measuredMm + 0.2, { ...bore, rises: true })).toBeGreaterThan(rises.at(-1)!.dial);
  });
  it('says over, not under; and hones, not files', () => {
    expect(advise([cut(0.8, 40.2)], bore)).toMatchObject({ state: 'under', leftMm: expect.closeTo(40.0125 - 40.2, 6) });
    expect(advise([cut(0.8, 40.2)], bore).sentences.join()).toContain('Over the limit');
    const thin = advise([cut(0.8, 39.98)], { ...bore, leastChipMm: 0.05 });
    expect(thin.state).toBe('polish');
    expect(thin.sentences.join()).toContain('hone');
    expect(advise([cut(0.8, 40.012)], bore).state).toBe('in');
  });
});

describe('the count of the dial', () => {
  it('is found again from what a pass leaves', () => {
    // A stiff tool, 0.02 in in so far: 42 - 2 x 25.4 x 0.02. A pass that leaves 40.476 stands at 0.03.
    const stiff = [cut(0, 42), cut(0.01, 41.492), cut(0.02, 40.984)];
    expect(countAgain(stiff, 40.476, settings)).toBeCloseTo(0.03, 3);
    const bore = stiff.map((c) => cut(0.5 - c.dial, 82 - c.measuredMm));
    expect(countAgain(bore, 82 - 40.476, { ...settings, side: 'inside' })).toBeCloseTo(0.47, 3);
  });
  it('is not where nothing came off, or nothing was cut', () => {
    expect(countAgain([cut(0, 42)], 42, settings)).toBeNull();
    expect(countAgain([], 42, settings)).toBeNull();
  });
});
