import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { routes } from '@iron-patch/contract';
import { ACCESS_NAMES } from '@iron-patch/core/terms/access';
import type { PersonRecord } from '@iron-patch/core';
import { ShopStore, SignIn, Told } from '../data';
import { Account } from './account';
import { PersonForm } from './person-form';

/** Who works here. Somebody who leaves stays on record for what they did. */
@Component({
  selector: 'ip-people',
  imports: [RouterLink, Account, PersonForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul class="rows">
      @for (p of people(); track p.id) {
        <li [class.gone]="p.gone">
          <b>{{ p.name }}</b>
          <span class="quiet">{{ p.gone ? 'works here no more' : said(p) }}</span>
          <span class="acts">
            <button type="button" class="plain" [attr.aria-label]="'Change ' + p.name" (click)="open(p.id)">Change</button>
            <button type="button" class="plain" [attr.aria-label]="(p.gone ? 'Take back ' : 'Remove ') + p.name" (click)="put(p, !p.gone)">
              {{ p.gone ? 'Take back' : 'Remove' }}
            </button>
          </span>
        </li>
        @if (opened() === p.id) {
          <li class="form">
            <ip-person-form [record]="p" (closed)="opened.set('')" />
            @if (signIn.byPassword() && signIn.may('accounts') && !p.gone) {
              <ip-account [personId]="p.id" [name]="p.name" />
            }
          </li>
        }
      } @empty {
        <li class="quiet">Nobody yet. Who works here stands behind every reading and every choice.</li>
      }
    </ul>
    @if (adding()) {
      <ip-person-form (closed)="adding.set(false)" />
    } @else {
      <button type="button" class="add" (click)="adding.set(true)">Add a person</button>
    }
    @if (signIn.may('accounts')) {
      <p class="done"><a routerLink="/shop/done">Who did what</a></p>
    }
  `,
  styles: '.gone b { font-weight: 400; } .add { margin-top: 12px; } .done { margin-top: 12px; }',
})
export class People {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly people = computed(() => this.shop.shop().people);
  protected readonly signIn = inject(SignIn);
  /** What they do here, and what they may do where that says something else. */
  protected readonly said = ({ role, access }: PersonRecord): string =>
    [role, role.toLowerCase() === ACCESS_NAMES[access].toLowerCase() ? '' : `may do as: ${ACCESS_NAMES[access].toLowerCase()}`]
      .filter(Boolean)
      .join(', ');
  protected readonly adding = signal(false);
  protected readonly opened = signal('');

  protected open(id: string): void {
    this.opened.update((now) => (now === id ? '' : id));
  }

  protected put({ id, name, role, version }: PersonRecord, gone: boolean): Promise<void> {
    const store = (to: boolean, at: number): Promise<PersonRecord> => this.shop.save(routes.person(id), { name, role, gone: to }, at);
    return this.told.doing(async () => {
      const stored = await store(gone, version);
      this.told.say(gone ? `${name} is no longer offered at the bench.` : `${name} is back.`, () => store(!gone, stored.version));
    });
  }
}
