import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { countOf } from '@iron-patch/core/terms/words';
import type { Act } from '@iron-patch/core/terms/access';
import { May } from '../sign-in/may';
import { DraftNote } from './draft-note';
import type { RecordForm } from './record-form';

/**
 * The frame of a form over a record: what was typed earlier, what is wrong with links to where, the fields, and the same three words at its
 * foot everywhere. Esc leaves a form in which nothing was typed; with something typed it asks what becomes of it.
 *
 * `<form ip-form [formGroup]="form.group" [of]="form" save="Save bar">` with the fields inside.
 */
@Component({
  // Sits on the form itself: the fields inside are its own directive's.
  // eslint-disable-next-line @angular-eslint/component-selector
  selector: 'form[ip-form]',
  imports: [DraftNote, May],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { novalidate: '', autocomplete: 'off', '(submit)': 'submit($event)', '(keydown.escape)': 'leave($event)' },
  template: `
    <ip-draft-note [kept]="of().kept" />
    @if (of().problems(); as wrong) {
      @if (wrong.length) {
        <div class="wrong" role="alert">
          <b>{{ count(wrong.length) }} to put right:</b>
          <ul>
            @for (p of wrong; track p.path + p.message) {
              <li>
                <button type="button" class="plain" (click)="goTo(p.path)">{{ p.message }}</button>
              </li>
            }
          </ul>
        </div>
      }
    }
    <ng-content />
    @if (of().message(); as m) {
      <p class="said bad" role="alert">{{ m }}</p>
    }
    @if (asking()) {
      <div class="foot asks" role="group" aria-label="What becomes of what you typed?">
        <span>What you typed is not saved.</span>
        <button type="button" (click)="throwAway()">Throw it away</button>
        @if (closable()) {
          <button type="button" (click)="leaveIt()">Keep it for later</button>
        }
        <button type="button" class="next" (click)="asking.set(false)">Go on</button>
      </div>
    } @else {
      <div class="foot">
        <ng-content select="[foot]" />
        @if (closable()) {
          <button type="button" class="cancel" (click)="leave()">Cancel</button>
        }
        @if (may(); as act) {
          <button type="submit" [ipMay]="act" [class.next]="next()" [disabled]="of().busy()">{{ of().busy() ? 'Saving' : save() }}</button>
        } @else {
          <button type="submit" [class.next]="next()" [disabled]="of().busy()">{{ of().busy() ? 'Saving' : save() }}</button>
        }
      </div>
    }
  `,
  styleUrl: './form-frame.less',
})
export class FormFrame {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly of = input.required<RecordForm<any>>();
  /** What its one button says. */
  readonly save = input('Save');
  /** False for a form that always stands there. */
  readonly closable = input(true);
  /** True where saving is the one next thing to do. */
  readonly next = input(true);
  /** What somebody must be allowed to save it; null where everybody is. */
  readonly may = input<Act | null>(null);
  readonly left = output<void>();
  protected readonly asking = signal(false);
  protected readonly count = (n: number): string => countOf(n, 'thing');
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly injector = inject(Injector);

  constructor() {
    effect(() => {
      if (this.of().refusals()) untracked(() => this.afterDrawing(() => this.first('[aria-invalid=true]')));
    });
  }

  protected submit(event: Event): void {
    event.preventDefault();
    void this.of().submit();
  }

  protected leave(event?: Event): void {
    event?.stopPropagation();
    if (this.of().kept.typed()) {
      this.asking.set(true);
      this.afterDrawing(() => this.first('.asks .next'));
    } else if (this.closable()) this.leaveIt();
  }

  protected throwAway(): void {
    this.asking.set(false);
    this.of().throwAway();
    if (this.closable()) this.left.emit();
  }

  protected leaveIt(): void {
    this.asking.set(false);
    this.left.emit();
  }

  protected goTo(path: string): void {
    this.first(`[data-field="${path}"], [data-field^="${path.split('.')[0]!}."], [data-field="${path.split('.')[0]!}"]`);
  }

  private first(selector: string): void {
    const found = this.element.querySelector<HTMLElement>(selector);
    // A box keeps its own input inside of what carries its name.
    (found?.matches('label') ? found.querySelector<HTMLElement>('input') : found)?.focus();
  }

  private afterDrawing(act: () => void): void {
    afterNextRender(act, { injector: this.injector });
  }
}
