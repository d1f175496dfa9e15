import { ruled } from '@iron-patch/core';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../testing/open-sheet';
import { SheetStore } from '../sheet-data';
import { TestBed } from '@angular/core/testing';
import { StateMark } from '../mark';
import { CautionNote, FigureButton, LengthInput, LengthPipe } from './index';

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

it('a figure tells its working when it is touched', async () => {
  const figure = ruled('c', 'running clearance', 0.111, 'house rule');
  const fixture = await show(FigureButton, { figure, withOther: true });
  expect(words(fixture)).toBe('running clearance: 0.111 0.0044 in , show its working');
  await press(fixture, 'running clearance');
  expect(TestBed.inject(SheetStore).figure()!.key).toBe('c');
});

it('four states have four shapes', async () => {
  const shapes = await Promise.all(
    ['done', 'close', 'out', 'not-yet'].map(async (state) => (await show(StateMark, { state })).nativeElement.innerHTML as string),
  );
  expect(new Set(shapes.map((s) => s.replace(/<!--.*?-->/g, ''))).size).toBe(4);
});

it('a caution says what, why and who', async () => {
  expect(words(await show(CautionNote, { hazard: 'lifting' }))).toBe(
    'Lifting gear. A pin that fails drops the load. A licensed person decides the material and the fit, and signs before it lifts again.',
  );
});

it('prints lengths and a dash for nothing', () => {
  const pipe = new LengthPipe();
  expect([pipe.transform(25.4, 'in'), pipe.transform(25.4, 'mm', 1), pipe.transform(null, 'mm'), pipe.transform(NaN, 'mm')]).toEqual([
    '1.0000',
    '25.4',
    '–',
    '–',
  ]);
});
