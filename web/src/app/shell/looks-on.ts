import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { mayNotWords, type Act } from '@iron-patch/core/terms/access';
import { filter, map, startWith } from 'rxjs';
import { SignIn } from '../data';

/** What is done in a place, by how its address begins; the first that fits. */
const DONE_IN: readonly (readonly [at: RegExp, act: Act])[] = [
  [/^\/shop\b/, 'shop'],
  [/^\/house-rules\b/, 'shop'],
  [/^\/(crib|rack)\b/, 'stores'],
  [/^\/run-order\b/, 'order'],
  [/^\/jobs\/new\b/, 'receive'],
  [/^\/jobs\/[^/]+\/receive\b/, 'receive'],
  [/^\/jobs\//, 'bench'],
];

/** Says where somebody only looks on, and who may do what is done there. */
@Component({
  selector: 'ip-looks-on',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (words(); as w) {
      <p role="status">You look on here. {{ w }}</p>
    }
  `,
  styles:
    'p { background: var(--accent-soft); border-bottom: 1px solid var(--hairline); padding: 6px 20px; } @media print { p { display: none; } }',
})
export class LooksOn {
  private readonly signIn = inject(SignIn);
  private readonly router = inject(Router);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      map((e) => e.urlAfterRedirects),
      startWith(this.router.url),
    ),
    { requireSync: true },
  );
  protected readonly words = computed(() => {
    const act = DONE_IN.find(([at]) => at.test(this.url()))?.[1];
    const access = this.signIn.access();
    return act && access && !this.signIn.may(act) ? mayNotWords(access, act) : '';
  });
}
