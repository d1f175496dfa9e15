import { work } from '../testing';

describe('change wheels', () => {
  it('M20 x 1.5 on eight to the inch is 60 to 127, exact', () => {
    const { answer, figures } = work('change-wheels', { thread: 'M20 x 1.5', leadscrew: '3.175' });
    // 1.5 / 3.175 is 60 / 127.
    expect(answer!.text).toBe('60 drives 127, any wheel between');
    expect(figures[0]!.value).toBeCloseTo(0, 12);
  });
  it('two starts of it want 120 to 127', () => {
    expect(work('change-wheels', { thread: 'M20 x 1.5', starts: '2', leadscrew: '3.175' }).answer!.text).toBe(
      '120 drives 127, any wheel between',
    );
  });
  it('an inch thread on a metric screw of 3 needs the 127 the other way round', () => {
    // 25.4 / 10 / 3 is 127 / 150: 127 drives 100 with 40 over 60 and the like.
    const { tables, figures } = work('change-wheels', { thread: '3/4-10 UNC', leadscrew: '3' });
    expect(tables![0]!.rows[0]![0]).toContain('127');
    expect(figures[1]!.value).toBeCloseTo(2.54, 9);
  });
});
