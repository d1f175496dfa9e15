import { computed, DestroyRef, Directive, ElementRef, inject, input } from '@angular/core';
import { mayNotWords, type Act } from '@iron-patch/core/terms/access';
import { SignIn, Told } from '../data';

/** On a button for somebody else: it can be reached and read, says who may, and does nothing. The server holds to it anyway. */
@Directive({
  selector: 'button[ipMay]',
  host: { '[class.not-mine]': 'why() !== ""', '[attr.aria-disabled]': 'why() ? true : null', '[attr.title]': 'why() || null' },
})
export class May {
  private readonly signIn = inject(SignIn);
  private readonly told = inject(Told);
  readonly ipMay = input.required<Act>();
  protected readonly why = computed(() => {
    const access = this.signIn.access();
    return access && !this.signIn.may(this.ipMay()) ? mayNotWords(access, this.ipMay()) : '';
  });

  constructor() {
    const button = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    // Before anything that the button does.
    const held = (event: Event): void => {
      if (!this.why()) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      this.told.refuse(this.why());
    };
    button.addEventListener('click', held, { capture: true });
    inject(DestroyRef).onDestroy(() => button.removeEventListener('click', held, { capture: true }));
  }
}
