import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { BASE } from '../../testing/base';
import { FileField } from './file-field';

const picked: (readonly File[])[] = [];

@Component({
  imports: [FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<ip-file accept=".csv,image/png" [multiple]="true" (picked)="got($event)">Choose a list</ip-file>',
})
class Host {
  protected got(files: readonly File[]): void {
    picked.push(files);
  }
}

let fixture: ComponentFixture<Host>;
const element = (): HTMLElement => fixture.nativeElement as HTMLElement;
beforeEach(async () => {
  picked.length = 0;
  TestBed.configureTestingModule({ providers: BASE });
  fixture = TestBed.createComponent(Host);
  await fixture.whenStable();
});

it('hands over all files that were chosen together, once, and can be given the same again', () => {
  const input = element().querySelector<HTMLInputElement>('input[type=file]')!;
  const files = [new File(['a'], 'a.csv'), new File(['b'], 'b.csv')];
  Object.defineProperty(input, 'files', { value: files, configurable: true });
  input.dispatchEvent(new Event('change'));
  input.dispatchEvent(new Event('change'));
  expect(picked.map((p) => p.map((f) => f.name))).toEqual([
    ['a.csv', 'b.csv'],
    ['a.csv', 'b.csv'],
  ]);
});

it('takes what is dropped on it, but for what it does not ask for', () => {
  const drop = new Event('drop', { bubbles: true, cancelable: true });
  const files = [new File(['a'], 'notes.txt'), new File(['b'], 'list.csv'), new File(['c'], 'pin', { type: 'image/png' })];
  Object.assign(drop, { dataTransfer: { files } });
  element().querySelector('[role=button]')!.dispatchEvent(drop);
  expect(picked.map((p) => p.map((f) => f.name))).toEqual([['list.csv', 'pin']]);
});

it.each(['Enter', ' '])('opens by the key “%s”', (key) => {
  const input = element().querySelector<HTMLInputElement>('input[type=file]')!;
  const opened = jest.spyOn(input, 'click').mockImplementation(() => undefined);
  const button = element().querySelector<HTMLElement>('[role=button]')!;
  button.dispatchEvent(new KeyboardEvent('keydown', { key, keyCode: key === ' ' ? 32 : 13, bubbles: true }));
  expect(opened).toHaveBeenCalledTimes(1);
});
