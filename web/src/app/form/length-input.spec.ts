import { FakeServer } from '../../testing/fake-server';
import { openSheet, show, type, words } from '../../testing/open-sheet';
import { LengthInput } from './index';

beforeEach(() => openSheet(new FakeServer()));

describe('a length typed in a form', () => {
  const given: (number | null)[] = [];
  const input = async (more: Record<string, unknown> = {}) => {
    given.length = 0;
    const fixture = await show(LengthInput, { label: 'Length', mm: 40, unit: 'mm', ...more });
    fixture.componentInstance.mmChange.subscribe((mm) => given.push(mm));
    return fixture;
  };

  it('shows the size in its unit and the other beside it', async () => {
    const fixture = await input({ unit: 'in', mm: 19.05 });
    expect(fixture.nativeElement.querySelector('input').value).toBe('0.75');
    expect(words(fixture)).toContain('19.050 mm');
  });

  it('passes a good size on in mm, in either unit, and leaves the text alone', async () => {
    const fixture = await input();
    await type(fixture, 'input', '1 3/16 in');
    expect(given).toEqual([expect.closeTo(30.1625, 9)]);
    fixture.componentRef.setInput('mm', given[0]);
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('input').value).toBe('1 3/16 in');
  });

  it('tells what is wrong and passes nothing on', async () => {
    const fixture = await input({ allowZero: false });
    for (const [text, said] of [
      ['-4', 'below zero'],
      ['0', 'no size'],
      ['wide', 'not a size'],
    ] as const) {
      await type(fixture, 'input', text);
      expect(words(fixture)).toContain(said);
      expect(fixture.nativeElement.querySelector('input').getAttribute('aria-invalid')).toBe('true');
    }
    expect(given).toEqual([]);
  });

  it('takes its last size back when it is emptied, unless it may be empty', async () => {
    const fixture = await input();
    await type(fixture, 'input', '');
    fixture.nativeElement.querySelector('input').dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('input').value).toBe('40');
    const optional = await input({ optional: true });
    await type(optional, 'input', '');
    expect(given).toEqual([null]);
  });

  it('shows what core or the server say of its path', async () => {
    const fixture = await input({
      path: 'segments.0.lengthMm',
      problems: [{ code: 'x', path: 'segments.0.lengthMm', message: 'Too long.' }],
    });
    expect(words(fixture)).toContain('Too long.');
  });
});
