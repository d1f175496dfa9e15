import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, instrumentInput, type InstrumentInput } from '@iron-patch/contract';
import { FakeServer, problem } from '../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../testing/open-sheet';
import { ApiProblem, NoAnswer } from '../data';
import { DateField, FormFrame, LengthInput, NumberField, PickField, RecordForm, TextField, UNITS } from './index';

const START: InstrumentInput = {
  name: '',
  kind: 'micrometer',
  unit: 'mm',
  uMm: null,
  repeatMm: null,
  resolutionMm: null,
  biasMm: 0,
  rangeLowMm: 0,
  rangeHighMm: 25,
  calibratedOn: null,
  dueOn: null,
};

@Component({
  selector: 'ip-try',
  imports: [ReactiveFormsModule, FormFrame, TextField, LengthInput, NumberField, DateField, PickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save it" (left)="gone.set(true)">
      <ip-text label="Name" name="name" formControlName="name" />
      <ip-pick label="Shows" [options]="units" formControlName="unit" />
      <ip-length label="To" name="to" [unit]="form.value().unit" formControlName="rangeHighMm" />
      <ip-number label="Bias" name="bias" formControlName="biasMm" />
      <ip-date label="Due" name="due" formControlName="dueOn" />
    </form>
  `,
})
class Try {
  readonly units = UNITS;
  readonly gone = signal(false);
  readonly saved: InstrumentInput[] = [];
  answer: () => Promise<unknown> = () => Promise.resolve(true);
  readonly form = new RecordForm<InstrumentInput>({
    keptAs: () => 'try',
    start: START,
    check: (v) => check(instrumentInput, v),
    save: (v) => {
      this.saved.push(v);
      return this.answer();
    },
    close: () => this.gone.set(true),
    theirs: () => 'Somebody else changed it.',
  });
}

const refusal = (status: number, more: object = {}): ApiProblem => new ApiProblem(problem(status, more).body as never);
const open = async () => {
  await openSheet(new FakeServer());
  const fixture = await show(Try);
  const host = fixture.nativeElement as HTMLElement;
  const field = (name: string): HTMLInputElement => host.querySelector(`input[name=${name}]`)!;
  document.body.append(host);
  return { fixture, host, field, form: fixture.componentInstance };
};
const leave = async (f: Awaited<ReturnType<typeof open>>, name: string): Promise<void> => {
  f.field(name).dispatchEvent(new Event('blur'));
  await f.fixture.whenStable();
};

it('marks what must be there, and only that', async () => {
  const { field } = await open();
  expect(['name', 'bias', 'due'].map((n) => field(n).getAttribute('aria-required'))).toEqual(['true', 'true', null]);
});

it('says nothing of a field that was only passed, and all that is wrong once saving is tried, with the first in hand', async () => {
  const f = await open();
  await leave(f, 'name');
  expect(words(f.fixture)).not.toContain('Name is needed.');
  await type(f.fixture, 'input[name=bias]', '7');
  await press(f.fixture, 'Save it');
  expect(words(f.fixture)).toContain('2 things to put right: Name is needed. What it reads too big is a number from -1 to 1 mm.');
  expect(document.activeElement).toBe(f.field('name'));
  expect(f.form.saved).toEqual([]);
  await press(f.fixture, 'What it reads too big is a number');
  expect(document.activeElement).toBe(f.field('bias'));
  await type(f.fixture, 'input[name=name]', 'Mic');
  expect(words(f.fixture)).toContain('1 thing to put right: What it reads too big is a number');
  await type(f.fixture, 'input[name=bias]', '0,01');
  expect(words(f.fixture)).not.toContain('to put right');
});

it('does not save a number or a day that cannot be read, over the last good one', async () => {
  const f = await open();
  await type(f.fixture, 'input[name=name]', 'Mic');
  await type(f.fixture, 'input[name=due]', '4 Dec 2026');
  await type(f.fixture, 'input[name=due]', '4 Dec 2026x');
  await press(f.fixture, 'Save it');
  expect(words(f.fixture)).toContain('“4 Dec 2026x” is no day.');
  await type(f.fixture, 'input[name=due]', '4 Dec 2026');
  await type(f.fixture, 'input[name=bias]', '0.o1');
  await press(f.fixture, 'Save it');
  expect(f.form.saved).toEqual([]);
  await type(f.fixture, 'input[name=bias]', '-0.01');
  await press(f.fixture, 'Save it');
  expect(f.form.saved).toEqual([{ ...START, name: 'Mic', dueOn: '2026-12-04', biasMm: -0.01 }]);
  expect(f.form.gone()).toBe(true);
});

it('writes out the day that it understood, and takes either unit of length', async () => {
  const f = await open();
  await type(f.fixture, 'input[name=due]', '2027-01-31');
  await leave(f, 'due');
  expect(f.field('due').value).toBe('Sun 31 Jan 2027');
  const to = f.host.querySelector<HTMLInputElement>('[data-field=rangeHighMm]')!;
  to.value = '2 in';
  to.dispatchEvent(new Event('input'));
  await f.fixture.whenStable();
  expect(f.form.form.value().rangeHighMm).toBeCloseTo(50.8, 9);
  to.value = '';
  to.dispatchEvent(new Event('input'));
  await press(f.fixture, 'Save it');
  expect(words(f.fixture)).toContain('Range to is needed.');
});

it('lays what the server refuses on its field, until that field is changed', async () => {
  const f = await open();
  f.form.answer = () =>
    Promise.reject(refusal(422, { problems: [{ code: 'taken', path: 'name', message: 'There is one of that name.' }] }));
  await type(f.fixture, 'input[name=name]', 'Mic');
  await press(f.fixture, 'Save it');
  await breathe();
  await f.fixture.whenStable();
  expect(f.field('name').getAttribute('aria-invalid')).toBe('true');
  expect(words(f.fixture)).toContain('1 thing to put right: There is one of that name.');
  await press(f.fixture, 'Save it');
  expect(f.form.saved).toHaveLength(1);
  f.form.answer = () => Promise.resolve(true);
  await type(f.fixture, 'input[name=name]', 'Mic 2');
  expect(words(f.fixture)).not.toContain('There is one');
  await press(f.fixture, 'Save it');
  expect(f.form.saved).toHaveLength(2);
});

it.each([
  ['the server is silent', () => new NoAnswer('x'), 'The server does not answer.'],
  ['it is about no field', () => refusal(409), 'No. Because.'],
  ['another was first', () => refusal(412, { current: { version: 2 } }), 'Somebody else changed it.'],
])('says so above the button when %s', async (_, error, said) => {
  const f = await open();
  f.form.answer = () => Promise.reject(error());
  await type(f.fixture, 'input[name=name]', 'Mic');
  await press(f.fixture, 'Save it');
  await breathe();
  await f.fixture.whenStable();
  expect(words(f.fixture)).toContain(said);
  expect(f.form.gone()).toBe(false);
});

it('Esc leaves an untouched form, and asks where something was typed', async () => {
  const f = await open();
  const esc = async (): Promise<void> => {
    f.field('name').dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    await f.fixture.whenStable();
  };
  await type(f.fixture, 'input[name=name]', 'Mic');
  await esc();
  expect(f.form.gone()).toBe(false);
  expect(words(f.fixture)).toContain('What you typed is not saved.');
  await press(f.fixture, 'Go on');
  expect(f.field('name').value).toBe('Mic');
  await esc();
  await press(f.fixture, 'Throw it away');
  expect([f.form.gone(), f.field('name').value]).toEqual([true, '']);
  f.form.gone.set(false);
  await esc();
  expect(f.form.gone()).toBe(true);
});
