import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ShopStore } from '../data';
import { HoursForm } from './hours-form';
import { Machines } from './machines';
import { People } from './people';
import { RatesForm } from './rates-form';
import { ShopForm } from './shop-form';
import { openSteps } from './steps';

/** The shop as it is: what it is called, who works there, what stands in it. */
@Component({
  selector: 'ip-shop',
  imports: [RouterLink, ShopForm, HoursForm, RatesForm, People, Machines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>{{ shop.shop().card.name || 'The shop' }}</h1>
      @if (left(); as l) {
        @if (l.length) {
          <p class="said">The walk round the shop is not done: {{ l }}. <a routerLink="/shop/first">Go on with it</a></p>
        }
      }
      <ip-shop-form />
      <h2>People</h2>
      <ip-people />
      <h2>Machines</h2>
      <ip-machines />
      <h2>When it works</h2>
      <ip-hours-form />
      <h2>What an hour costs</h2>
      <ip-rates-form />
      <p class="also">
        Instruments and drills stand in the <a routerLink="/crib">crib</a>, bars and offcuts on the <a routerLink="/rack">rack</a>, fits in
        the <a routerLink="/house-rules">house rules</a>.
      </p>
    </div>
  `,
  styleUrl: './shop-page.less',
})
export class ShopPage {
  protected readonly shop = inject(ShopStore);
  protected readonly left = computed(() =>
    openSteps(this.shop.shop())
      .map((s) => s.name.toLowerCase())
      .join(', '),
  );
}
