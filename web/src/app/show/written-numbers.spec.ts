import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormsModule } from '@angular/forms';
import { DecimalMarks } from '../data';
import { LengthInput, NumberField, TextField } from '../form';
import { BASE } from '../../testing/base';
import { WRITTEN_NUMBERS } from './written-numbers';

@Component({
  selector: 'ip-trial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, TextField, LengthInput, NumberField],
  template: `
    <p id="fixed">A slip of 0.02 mm</p>
    <p id="bound" [attr.aria-label]="'reads ' + text()" [title]="text()">It is {{ text() }}.</p>
    <p id="theirs" data-verbatim>{{ note() }}</p>
    <input id="figure" class="fig" [value]="text()" />
    <input id="word" [value]="note()" />
    <input id="model" class="fig" [ngModel]="text()" />
    <ip-length label="Size" name="size" unit="mm" [mm]="mm()" (mmChange)="mm.set($event)" />
    <ip-text label="Rate" name="rate" [figures]="true" [value]="rate()" (valueChange)="rate.set($event)" />
    <ip-text label="Bin" name="bin" [value]="note()" />
  `,
})
class Trial {
  readonly text = signal('0.7491 in');
  readonly note = signal('shelf 3.2');
  readonly mm = signal<number | null>(19.05);
  readonly rate = signal('0.0015');
}

async function page(mark: '.' | ',') {
  TestBed.configureTestingModule({ imports: [Trial], providers: [...BASE, WRITTEN_NUMBERS] });
  TestBed.inject(DecimalMarks).adopt(mark, true);
  const fixture = TestBed.createComponent(Trial);
  document.body.append(fixture.nativeElement as HTMLElement);
  await fixture.whenStable();
  const host = fixture.nativeElement as HTMLElement;
  return {
    fixture,
    trial: fixture.componentInstance,
    text: (selector: string) => host.querySelector(selector)!.textContent.trim(),
    field: (selector: string) => host.querySelector<HTMLInputElement>(selector)!,
    typeIn: async (selector: string, text: string) => {
      const field = host.querySelector<HTMLInputElement>(selector)!;
      field.focus();
      field.value = text;
      field.setSelectionRange(2, 2);
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
      return field;
    },
  };
}

afterEach(() => document.querySelectorAll('ip-trial, [id^=root]').forEach((e) => e.remove()));

it('writes texts, spoken words and fields of figures with a comma, and what people wrote as they wrote it', async () => {
  const { text, field } = await page(',');
  expect(text('#fixed')).toBe('A slip of 0,02 mm');
  expect(text('#bound')).toBe('It is 0,7491 in.');
  expect(field('#bound').getAttribute('aria-label')).toBe('reads 0,7491 in');
  expect(field('#bound').title).toBe('0,7491 in');
  expect(text('#theirs')).toBe('shelf 3.2');
  expect(field('#figure').value).toBe('0,7491 in');
  expect(field('#model').value).toBe('0,7491 in');
  expect(field('#word').value).toBe('shelf 3.2');
  expect(field('ip-length input').value).toBe('19,05');
  expect(text('ip-length')).toContain('0,7500 in');
  expect(field('ip-text input').value).toBe('0,0015');
  expect(field('ip-text:last-child input').value).toBe('shelf 3.2');
});

it('reads a comma that could part thousands as the mark, at once', async () => {
  const { trial, typeIn } = await page(',');
  await typeIn('ip-length input', '19,027');
  expect(trial.mm()).toBe(19.027);
  await typeIn('ip-text input', '0,002');
  expect(trial.rate()).toBe('0.002');
});

it('a point is taken too, and the cursor stays where it was', async () => {
  const { trial, typeIn } = await page(',');
  const field = await typeIn('ip-length input', '19.027');
  expect([field.value, trial.mm(), field.selectionStart]).toEqual(['19,027', 19.027, 2]);
});

it('in a point shop nothing is touched, and a comma that could part thousands is asked about', async () => {
  const { trial, text, typeIn } = await page('.');
  expect(text('#bound')).toBe('It is 0.7491 in.');
  await typeIn('ip-length input', '19,027');
  expect(trial.mm()).toBe(19.05);
  expect(text('ip-length')).toContain('can be read two ways');
});

it('a page is never written in two marks', () => {
  const marks = new DecimalMarks();
  expect(marks.adopt(',', true)).toBe(true);
  expect(marks.adopt('.', false)).toBe(false);
  expect(marks.written('1.5')).toBe('1,5');
});
