import { ChangeDetectionStrategy, Component, computed, inject, input, signal, type OnInit } from '@angular/core';
import { check, givenPasswordInput } from '@iron-patch/contract';
import { routes, type AccountRow } from '@iron-patch/contract/wire';
import { countOf } from '@iron-patch/core/terms/words';
import { Api, ShopTimePipe, Told } from '../data';
import { SecretField } from '../sign-in/secret-field';
import { SecretForm } from '../sign-in/secret-form';

/** How somebody signs in, as the owner sees it: a first password is given here, and who lost a tablet is signed out. */
@Component({
  selector: 'ip-account',
  imports: [SecretField, ShopTimePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="'How ' + name() + ' signs in'">
      <h3>Signing in</h3>
      @if (row(); as r) {
        <p>
          {{ words[r.password] }}{{ r.pin ? ' A PIN is set.' : '' }}
          @if (r.devices) {
            Signed in on {{ count(r.devices) }}, last used {{ r.seenAt | shopTime: 'year' }}.
          }
        </p>
        @if (giving()) {
          <form (submit)="form.submit($event)" novalidate>
            <ip-secret
              label="A password to begin with"
              name="given"
              complete="new-password"
              [value]="form.value().password"
              [problem]="form.said('password')"
              (typed)="form.set({ password: $event })"
            />
            <p class="quiet">{{ name() }} changes it at the first sign-in, and is signed out everywhere until then.</p>
            @if (form.message(); as m) {
              <p class="said bad" role="alert">{{ m }}</p>
            }
            <div class="row">
              <button type="button" (click)="giving.set(false)">Cancel</button>
              <button type="submit" class="next" [disabled]="form.busy()">Give this password</button>
            </div>
          </form>
        } @else {
          <div class="row">
            <button type="button" (click)="giving.set(true)">
              {{ r.password === 'none' ? 'Give a password' : 'Give another password' }}
            </button>
            @if (r.devices) {
              <button type="button" (click)="out()">Sign out everywhere</button>
            }
          </div>
        }
      }
    </section>
  `,
  styles:
    'section { border-top: 1px solid var(--hairline); margin-top: 14px; padding-top: 10px; } .row { margin-top: 8px; } form { display: grid; gap: 8px; max-width: 460px; margin-top: 8px; }',
})
export class Account implements OnInit {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  readonly personId = input.required<string>();
  readonly name = input.required<string>();
  private readonly rows = signal<readonly AccountRow[]>([]);
  protected readonly row = computed(() => this.rows().find((r) => r.personId === this.personId()));
  protected readonly giving = signal(false);
  protected readonly count = (n: number): string => countOf(n, 'screen');
  protected readonly words: Readonly<Record<AccountRow['password'], string>> = {
    none: 'Has no password yet, and cannot sign in.',
    borrowed: 'Has a password that was given, not yet changed.',
    own: 'Has a password of their own.',
  };
  protected readonly form = new SecretForm(
    { password: '' },
    (v) => check(givenPasswordInput, v),
    async (v) => {
      this.rows.set(await this.api.send<AccountRow[]>('PUT', routes.givenPassword(this.personId()), v));
      this.giving.set(false);
      this.told.say(`${this.name()} can sign in with it now.`);
    },
  );

  ngOnInit(): void {
    void this.told.doing(async () => this.rows.set(await this.api.get<AccountRow[]>(routes.accounts)));
  }

  protected out(): Promise<void> {
    return this.told.doing(async () => {
      this.rows.set(await this.api.send<AccountRow[]>('POST', routes.outEverywhere(this.personId()), {}));
      this.told.say(`${this.name()} is signed out everywhere.`);
    });
  }
}
