import { A11yModule } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, HostListener, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { check, firstAccountInput, pinSignInInput, signInInput } from '@iron-patch/contract';
import { PIN_LENGTH, type PersonHere } from '@iron-patch/contract/wire';
import { countOf } from '@iron-patch/core/terms/words';
import { Outbox, ShopStore, SignIn, Told } from '../data';
import { OwnSecrets } from './own-secrets';
import { PinPad } from './pin-pad';
import { SecretField } from './secret-field';
import { SecretForm } from './secret-form';

type View = 'first' | 'borrowed' | 'name' | 'pin' | 'own' | 'people';

/** Over everything while nobody is let in, or when somebody changes who is at the bench. What was typed below stays as it is. */
@Component({
  selector: 'ip-sign-in',
  imports: [A11yModule, SecretField, PinPad, OwnSecrets],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sign-in-screen.html',
  styleUrl: './sign-in-screen.less',
})
export class SignInScreen {
  protected readonly signIn = inject(SignIn);
  private readonly router = inject(Router);
  private readonly told = inject(Told);
  private readonly outbox = inject(Outbox);
  private readonly shop = inject(ShopStore);
  protected readonly now = computed(() => this.signIn.now()!);
  protected readonly chosen = signal<PersonHere | null>(null);
  protected readonly changing = signal<'password' | 'pin' | null>(null);
  private readonly named = signal(false);
  protected readonly me = computed(() => this.now().here.find((p) => p.id === this.now().personId));
  protected readonly view = computed<View>(() => {
    const { state, borrowed, here } = this.now();
    if (state === 'first') return 'first';
    if (state === 'in' && borrowed) return 'borrowed';
    if (state === 'out' || this.named() || !here.length) return 'name';
    if (this.changing() && !this.signIn.closed()) return 'own';
    return this.chosen() ? 'pin' : 'people';
  });
  /** What waits in this browser until whoever took it is here again. */
  protected readonly waiting = computed(() => {
    const n = this.outbox.waiting();
    if (!n) return '';
    const kept = countOf(n, 'reading');
    return n === 1 ? `${kept} kept here waits for whoever took it.` : `${kept} kept here wait for whoever took them.`;
  });

  protected readonly first = new SecretForm(
    { name: '', password: '' },
    (v) => check(firstAccountInput, v),
    async ({ name, password }) => {
      await this.signIn.makeFirst(name, password);
      await this.shop.load();
      if (!this.shop.shop().card.name) await this.router.navigate(['/shop/first']);
    },
  );
  protected readonly enter = new SecretForm(
    { name: '', password: '' },
    (v) => check(signInInput, v),
    async ({ name, password }) => {
      await this.signIn.enter(name, password);
      this.done();
    },
  );
  protected readonly pin = new SecretForm(
    { pin: '' },
    ({ pin }) => check(pinSignInInput, { personId: this.chosen()!.id, pin }),
    async ({ pin }) => {
      // Whatever comes of it, the next is typed anew.
      await this.signIn.enterByPin(this.chosen()!.id, pin).catch(async (e: unknown) => {
        this.pin.value.set({ pin: '' });
        await this.signIn.load();
        throw e;
      });
      this.done();
    },
  );

  protected digit(d: string): void {
    this.pin.set({ pin: (this.pin.value().pin + d).slice(0, PIN_LENGTH.most) });
  }

  protected choose(person: PersonHere | null): void {
    this.pin.clear();
    if (person && !person.pin) return this.byName(person.name);
    this.chosen.set(person);
  }

  protected byName(name: string): void {
    this.enter.clear();
    this.enter.set({ name });
    this.named.set(true);
  }

  protected backToPeople(): void {
    this.named.set(false);
    this.chosen.set(null);
  }

  protected lock(): Promise<void> {
    return this.told.doing(() => this.signIn.lock());
  }

  protected leave(everywhere: boolean): Promise<void> {
    return this.told.doing(() => this.signIn.leave(everywhere));
  }

  @HostListener('document:keydown.escape')
  protected close(): void {
    if (!this.signIn.closed()) this.signIn.asked.set(false);
  }

  private done(): void {
    this.backToPeople();
    void this.outbox.flush();
  }
}
