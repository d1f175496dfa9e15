import { TestBed } from '@angular/core/testing';
import { SUMS, sumOfId, type Mark } from '@iron-patch/core/sums';
import { TABLES } from '@iron-patch/core/book/look-up';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../testing/open-sheet';
import { OpenJob, SessionStore, SumsDesk } from '../data';
import { BookTableView } from './book-table';
import { SumBench } from './sum-bench';
import { SumPicture } from './sum-picture';
import { Sums } from './sums';

let server: FakeServer;
beforeEach(async () => {
  server = new FakeServer();
  await openSheet(server);
});

const bench = (id: string) => show(SumBench, { sum: sumOfId(id)! });
const answer = (fixture: Awaited<ReturnType<typeof bench>>): string =>
  fixture.nativeElement.querySelector('.answer').textContent.trim().replace(/\s+/g, ' ');

describe('a calculation', () => {
  it('says its answer, how it was worked, and the other unit', async () => {
    const fixture = await bench('cross-hole');
    expect(answer(fixture)).toBe('17.580 mm');
    expect(words(fixture)).toContain('half the round 12.500 + half the finder 5.000 + paper 0.080');
    expect(words(fixture)).toContain('0.6921 in');
  });

  it('follows every key that is typed', async () => {
    const fixture = await bench('cross-hole');
    await type(fixture, 'input[name=round]', '1 in');
    expect(answer(fixture)).toBe('17.780 mm');
    expect(words(fixture)).toContain('1.0000 in');
  });

  it('marks the field that is wrong, keeps the last answer and says so', async () => {
    const fixture = await bench('taper');
    await type(fixture, 'input[name=small]', '30');
    expect(fixture.nativeElement.querySelector('input[name=small]').getAttribute('aria-invalid')).toBe('true');
    expect(words(fixture)).toContain('The small end must be smaller');
    expect(words(fixture)).toContain('last good answer');
    expect(answer(fixture)).toContain('2.386°');
  });

  it('keeps what was typed when it is laid aside and taken up again', async () => {
    const first = await bench('mass');
    await type(first, 'input[name=a]', '2 in');
    first.destroy();
    const again = await bench('mass');
    expect(again.nativeElement.querySelector('input[name=a]').value).toBe('2 in');
  });

  it('rewrites a bare size when the unit is switched, never reads it anew', async () => {
    const fixture = await bench('cross-hole');
    await type(fixture, 'input[name=round]', '50.8');
    TestBed.inject(SessionStore).chooseUnit('in', TestBed.inject(OpenJob).job()?.id);
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('input[name=round]').value).toBe('2');
    expect(answer(fixture)).toBe('1.2000 in');
    TestBed.inject(SessionStore).chooseUnit('mm', TestBed.inject(OpenJob).job()?.id);
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('input[name=round]').value).toBe('50.8');
  });

  it('names the thread that it understood', async () => {
    const fixture = await bench('tap-drill');
    await type(fixture, 'input[name=thread]', '3/8 24');
    expect(words(fixture)).toContain('3/8-24 UNF');
    await type(fixture, 'input[name=thread]', '3/8 23');
    expect(words(fixture)).toContain('is no thread in the book');
  });

  it.each(SUMS.map((s) => s.id))('%s opens without a wrong field', async (id) => {
    const fixture = await bench(id);
    expect(fixture.nativeElement.querySelectorAll('[aria-invalid]')).toHaveLength(0);
    expect(answer(fixture)).toMatch(/\d/);
  });
});

describe('sending it to a job', () => {
  const jobs = [{ id: 'job', number: 1001, title: 'Hinge pin', next: { id: 'decide' } }];

  it('writes the working into the notes of the open job', async () => {
    server.jobs = jobs as never;
    const fixture = await bench('cross-hole');
    await fixture.whenStable();
    await press(fixture, 'Send');
    const [note] = server.changes();
    expect(note!.path).toBe(`/api/jobs/${server.sheet.job.id}/notes`);
    expect((note!.body as { text: string }).text).toContain('Centre of a round from its edge.\n');
    expect((note!.body as { text: string }).text).toContain('17.580 mm = half the round');
  });
});

describe('a metal that was told', () => {
  it('is taken for a component of the open job, and how it was told is noted', async () => {
    const fixture = await bench('which-metal');
    const [pin] = server.sheet.components;
    const button = [...(fixture.nativeElement as HTMLElement).querySelectorAll('button')].find((b) =>
      b.textContent.includes('Take it as'),
    )!;
    await press(fixture, button.textContent.trim());
    await fixture.whenStable();
    const [put, note] = server.changes();
    expect(put!.path).toBe(`/api/components/${pin!.id}`);
    // The pin keeps all else that it is.
    expect(put!.body).toMatchObject({ name: pin!.name, role: pin!.role, materialId: expect.stringMatching(/^(steel|iron)-/) });
    expect((note!.body as { text: string; station: string }).station).toBe('strip');
    expect((note!.body as { text: string }).text).toContain('Which metal is it?');
  });
});

describe('the bench', () => {
  it('finds sums and tables by words, and lays one on', async () => {
    const fixture = await show(Sums);
    TestBed.inject(SumsDesk).ask('hexagon');
    await fixture.whenStable();
    expect(words(fixture)).toContain('Flats and hexagon');
    expect(words(fixture)).not.toContain('Tap drill');
    await press(fixture, 'Flats and hexagon');
    expect(TestBed.inject(SumsDesk).view()).toEqual({ kind: 'sum', id: 'flats' });
    expect(fixture.nativeElement.querySelector('h1').textContent).toBe('Flats and hexagon');
  });

  it('looks a size up, in both units', async () => {
    const fixture = await show(Sums);
    TestBed.inject(SumsDesk).ask('25 H7/p6');
    await fixture.whenStable();
    expect(words(fixture)).toContain('25.035 mm 0.9856 in');
    TestBed.inject(SumsDesk).ask('qqq');
    await fixture.whenStable();
    expect(words(fixture)).toContain('The book has nothing by that name');
  });

  it('Escape empties the question before it closes anything', async () => {
    const fixture = await show(Sums);
    const desk = TestBed.inject(SumsDesk);
    desk.ask('press');
    await fixture.whenStable();
    const escape = new KeyboardEvent('keydown', { key: 'Escape', bubbles: true });
    const stopped = jest.spyOn(escape, 'stopPropagation');
    fixture.nativeElement.querySelector('#ask-book').dispatchEvent(escape);
    expect(desk.asked()).toBe('');
    expect(stopped).toHaveBeenCalled();
  });

  it('Enter takes the first sum when the book has no answer', async () => {
    const fixture = await show(Sums);
    TestBed.inject(SumsDesk).ask('sagitta');
    await fixture.whenStable();
    fixture.nativeElement.querySelector('#ask-book').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    expect(TestBed.inject(SumsDesk).view().id).toBe('chord');
  });
});

describe('a table', () => {
  it('stands in its own unit, is filtered by typing and goes out as CSV', async () => {
    const fixture = await show(BookTableView, { table: TABLES.find((t) => t.id === 'unc-unf')! });
    expect(words(fixture)).toContain('Lengths in in.');
    await type(fixture, 'input', '3/8');
    expect(fixture.nativeElement.querySelectorAll('tbody tr')).toHaveLength(4);
    await type(fixture, 'input', 'nothing such');
    expect(words(fixture)).toContain('No row has “nothing such”');
    const link = fixture.nativeElement.querySelector('a') as HTMLAnchorElement;
    expect(link.download).toBe('unc-unf.csv');
    expect(decodeURIComponent(link.href)).toContain('3/8-16 UNC,0.3750');
  });
});

describe('the picture', () => {
  it('draws to one scale in both directions, y up', async () => {
    const marks: Mark[] = [
      { kind: 'circle', x: 0, y: 0, r: 10, style: 'part' },
      { kind: 'circle', x: 0, y: 20, r: 5, style: 'mate' },
      { kind: 'size', from: [-10, 0], to: [10, 0], text: 'round' },
    ];
    const fixture = await show(SumPicture, { marks });
    const [big, small] = [...fixture.nativeElement.querySelectorAll('circle.part, circle.mate')].map((c: SVGCircleElement) => ({
      y: Number(c.getAttribute('cy')),
      r: Number(c.getAttribute('r')),
    }));
    expect(big!.r / small!.r).toBeCloseTo(2, 9);
    expect(big!.y - small!.y).toBeCloseTo(2 * big!.r, 6);
    const line = fixture.nativeElement.querySelector('line.size') as SVGLineElement;
    expect(Number(line.getAttribute('x2')) - Number(line.getAttribute('x1'))).toBeCloseTo(2 * big!.r, 6);
    expect(fixture.nativeElement.querySelector('svg').getAttribute('aria-label')).toContain('round');
  });
});
