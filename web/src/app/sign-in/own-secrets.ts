import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { check, ownPasswordInput, ownPinInput } from '@iron-patch/contract';
import { SignIn, Told } from '../data';
import { SecretField } from './secret-field';
import { SecretForm } from './secret-form';

/** Somebody's own password and PIN. */
@Component({
  selector: 'ip-own-secrets',
  imports: [SecretField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (what() === 'password') {
      <form (submit)="password.submit($event)" novalidate>
        <ip-secret
          [label]="borrowed() ? 'The password that you were given' : 'Password of now'"
          name="old"
          complete="current-password"
          [value]="password.value().old"
          [problem]="password.said('old')"
          (typed)="password.set({ old: $event })"
        />
        <ip-secret
          label="New password"
          name="password"
          complete="new-password"
          [value]="password.value().password"
          [problem]="password.said('password')"
          (typed)="password.set({ password: $event })"
        />
        <p class="quiet">Twelve characters or more: four words that do not belong together are good, and need no signs or figures.</p>
        @if (password.message(); as m) {
          <p class="said bad" role="alert">{{ m }}</p>
        }
        <button type="submit" class="next" [disabled]="password.busy()">Change the password</button>
      </form>
    } @else {
      <form (submit)="pin.submit($event)" novalidate>
        <ip-secret
          label="New PIN, 4 to 8 digits"
          name="pin"
          [digits]="true"
          [value]="pin.value().pin"
          [problem]="pin.said('pin')"
          (typed)="pin.set({ pin: $event })"
        />
        <ip-secret
          label="Password"
          name="password"
          complete="current-password"
          [value]="pin.value().password"
          [problem]="pin.said('password')"
          (typed)="pin.set({ password: $event })"
        />
        @if (pin.message(); as m) {
          <p class="said bad" role="alert">{{ m }}</p>
        }
        <button type="submit" class="next" [disabled]="pin.busy()">Set the PIN</button>
      </form>
    }
  `,
  styles: 'form { display: grid; gap: 10px; } button.next { min-height: 52px; font-size: 18px; }',
})
export class OwnSecrets {
  private readonly signIn = inject(SignIn);
  private readonly told = inject(Told);
  readonly what = input.required<'password' | 'pin'>();
  readonly borrowed = input(false);
  readonly done = output<void>();
  protected readonly password = new SecretForm(
    { old: '', password: '' },
    (v) => check(ownPasswordInput, v),
    async ({ old, password }) => {
      await this.signIn.changePassword(old, password);
      this.told.say('The password is changed. Everywhere else you are signed out.');
      this.done.emit();
    },
  );
  protected readonly pin = new SecretForm(
    { password: '', pin: '' },
    (v) => check(ownPinInput, v),
    async ({ password, pin }) => {
      await this.signIn.changePin(password, pin);
      this.told.say('The PIN is set: it is asked on screens where you signed in.');
      this.done.emit();
    },
  );
}
