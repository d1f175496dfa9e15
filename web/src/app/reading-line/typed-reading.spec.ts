import { parseLength } from '@iron-patch/core';
import type { LineTarget } from './spot';
import { typedReading, type LineState } from './typed-reading';

const target: LineTarget = {
  purpose: 'found',
  placeId: 'barrel',
  segmentId: null,
  itemId: null,
  piece: 1,
  afterActId: null,
  spot: { stationMm: 20, clockDeg: 90, quantity: 'size' },
  title: 'Barrel bore',
  expectedMm: 40,
  nominalMm: 40,
  instrumentId: 'tele',
  there: [{ id: 'before', instrumentId: 'tele' }],
  signed: false,
  dial: 0.1,
};
const lineOf = (text: string, more: Partial<LineState> = {}): LineState => ({
  text,
  parsed: parseLength(text, { unit: 'mm', nominalMm: 40 }),
  unit: 'mm',
  instrumentId: 'mic',
  partTempC: null,
  dial: 0.25,
  supersedesId: null,
  confirmed: false,
  ...more,
});

describe('the reading that a line stands for', () => {
  it('keeps its text as typed, where and with what it was read', () => {
    expect(typedReading(target, 40.1, lineOf('40,10', { partTempC: 31 }))).toMatchObject({
      text: '40,10',
      unit: 'mm',
      stationMm: 20,
      clockDeg: 90,
      quantity: 'size',
      instrumentId: 'mic',
      partTempC: 31,
      supersedesId: null,
      dial: null,
    });
  });

  it('keeps the unit that was typed beside the number', () => {
    expect(typedReading(target, 1.5 * 25.4, lineOf('1.5 in'))).toMatchObject({ unit: 'in', text: '1.5 in' });
  });

  it('keeps a suggested size as the text that stands for it', () => {
    expect(typedReading(target, 40.16, lineOf('4016'))).toMatchObject({ text: '40.1600 mm', unit: 'mm' });
  });

  it('keeps what was typed with the size that it was counted from, so that it can be read again by itself', () => {
    const line = lineOf('+0.1 over nominal');
    expect(line.parsed).toMatchObject({ ok: true });
    expect(typedReading(target, 40.1, line)).toMatchObject({ text: '+0.1 over 40.0000 mm' });
  });

  it('takes the place of the one at its spot when it corrects it, and has a dial only at a cut', () => {
    expect(typedReading(target, 40.1, lineOf('40.1', { supersedesId: 'before' })).supersedesId).toBe('before');
    expect(typedReading({ ...target, purpose: 'cut' }, 40.1, lineOf('40.1')).dial).toBe(0.25);
  });
});
