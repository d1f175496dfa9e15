import { isDevMode } from '@angular/core';
import { provideServiceWorker } from '@angular/service-worker';
import { registerLocaleData } from '@angular/common';
import enGb from '@angular/common/locales/en-GB';
import {
  inject,
  LOCALE_ID,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import { en_GB, NZ_DATE_CONFIG, provideNzI18n } from 'ng-zorro-antd/i18n';
import { provideRouter, TitleStrategy, withComponentInputBinding } from '@angular/router';
import { appRoutes } from './app.routes';
import type { LengthUnit } from '@iron-patch/core';
import { HTTP, PageTitle, ShopStore } from './data';
import { WRITTEN_NUMBERS } from './show/written-numbers';

registerLocaleData(enGb);

/** Inch shops hang a calendar whose week begins with Sunday; metric ones with Monday, as ISO 8601 has it. */
const weekStart = (unit: LengthUnit): 0 | 1 => (unit === 'in' ? 0 : 1);

/** Dates and words of the component library in British English. */
export const LOCALE = [
  { provide: LOCALE_ID, useValue: 'en-GB' },
  provideNzI18n(en_GB),
  {
    provide: NZ_DATE_CONFIG,
    // Asked for by the first calendar that opens, when the shop is known.
    useFactory: () => ({ firstDayOfWeek: weekStart(inject(ShopStore).shop().card.unit) }),
  },
];

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    ...LOCALE,
    HTTP,
    WRITTEN_NUMBERS,
    { provide: TitleStrategy, useExisting: PageTitle },
    provideServiceWorker('ngsw-worker.js', {
      enabled: !isDevMode() && 'serviceWorker' in navigator,
      registrationStrategy: 'registerWithDelay:2000',
    }),
    provideRouter(appRoutes, withComponentInputBinding()),
  ],
};
