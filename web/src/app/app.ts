import { ChangeDetectionStrategy, Component, effect, inject, untracked } from '@angular/core';
import { Router, RouterOutlet } from '@angular/router';
import { IdleLock, Leaving, Live, LookOfScreen, Newer, ShopStore, SignIn, SumsDesk, Told } from './data';
import { LooksOn } from './shell/looks-on';
import { ToldBar } from './shell/told-bar';
import { TopStrip } from './shell/top-strip';
import { SignInScreen } from './sign-in/sign-in-screen';
import { SumsPanel } from './sums/sums-panel';

/** The frame: the strip on top, the place below. */
@Component({
  selector: 'ip-app',
  imports: [RouterOutlet, TopStrip, LooksOn, SumsPanel, ToldBar, SignInScreen],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a class="skip" href="#place" (click)="skip($event)">To the work</a>
    <ip-top-strip [attr.inert]="over()" />
    <ip-looks-on [attr.inert]="over()" />
    <main id="place" tabindex="-1" [attr.inert]="over()">
      @if (failed()) {
        <p class="said bad wide" role="alert">
          The server does not answer. This page opens by itself when it is back; readings and pictures taken before are kept.
        </p>
      } @else if (shop.loaded()) {
        <router-outlet />
      }
    </main>
    <!-- Fetched while the line is up: what it tells may be that the line is down. -->
    @defer (on idle) {
      <ip-told />
    }
    @if (sums.open()) {
      @defer (on immediate) {
        <ip-sums-panel [attr.inert]="over()" />
      }
    }
    @if (signIn.closed() || signIn.asked()) {
      @defer (on immediate) {
        <ip-sign-in />
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template: 44px auto minmax(0, 1fr) / minmax(0, 1fr);
      height: 100%;
    }
    main {
      min-height: 0;
      overflow: auto;
    }
    main:focus {
      outline: none;
    }
    .skip {
      position: absolute;
      left: -999px;
      z-index: 10;
      background: var(--field);
      padding: 10px;
    }
    .skip:focus {
      left: 8px;
      top: 6px;
    }
    .wide {
      margin: 20px;
    }
    @media print {
      :host {
        display: block;
      }
      main {
        overflow: visible;
      }
    }
  `,
})
export class App {
  protected readonly shop = inject(ShopStore);
  protected readonly sums = inject(SumsDesk);
  protected readonly signIn = inject(SignIn);
  /** Something lies over the page: nothing below it can be reached. */
  protected readonly over = () => (this.signIn.closed() || this.signIn.asked() ? '' : null);
  private readonly live = inject(Live);
  private readonly told = inject(Told);
  protected readonly failed = () => !this.shop.loaded() && !this.live.online() && !this.signIn.closed();

  constructor() {
    inject(Leaving);
    inject(Newer);
    inject(LookOfScreen);
    inject(IdleLock);
    this.live.back.subscribe(() => void this.loadShop());
    this.live.news.subscribe((event) => event.jobId === null && void this.loadShop());
    const router = inject(Router);
    // A shop in which nobody works yet is set up first.
    effect(() => {
      if (this.shop.loaded() && this.shop.shop().people.length === 0) untracked(() => void router.navigate(['/shop/first']));
    });
    void this.begin();
  }

  /** Where it was open the last time the shop is loaded at once: should it be no more, the server says so. */
  private async begin(): Promise<void> {
    const asked = this.signIn.load();
    if (this.signIn.now() === null) await asked;
    if (this.signIn.closed()) return;
    this.live.connect();
    await this.loadShop();
  }

  protected skip(event: Event): void {
    event.preventDefault();
    document.getElementById('place')?.focus();
  }

  private loadShop(): Promise<void> {
    return this.shop.load().catch(this.told.bug);
  }
}
