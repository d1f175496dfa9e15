import { isDevMode } from '@angular/core';
import { provideServiceWorker } from '@angular/service-worker';
import { registerLocaleData } from '@angular/common';
import enGb from '@angular/common/locales/en-GB';
import { LOCALE_ID, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection, type ApplicationConfig } from '@angular/core';
import { en_GB, NZ_DATE_CONFIG, provideNzI18n } from 'ng-zorro-antd/i18n';
import { provideRouter, TitleStrategy, withComponentInputBinding } from '@angular/router';
import { appRoutes } from './app.routes';
import { HTTP, PageTitle } from './data';

registerLocaleData(enGb);

/** Dates and words of the component library in British English. */
export const LOCALE = [
  { provide: LOCALE_ID, useValue: 'en-GB' },
  provideNzI18n(en_GB),
  { provide: NZ_DATE_CONFIG, useValue: { firstDayOfWeek: 1 } },
];

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    ...LOCALE,
    HTTP,
    { provide: TitleStrategy, useExisting: PageTitle },
    provideServiceWorker('ngsw-worker.js', {
      enabled: !isDevMode() && 'serviceWorker' in navigator,
      registrationStrategy: 'registerWithDelay:2000',
    }),
    provideRouter(appRoutes, withComponentInputBinding()),
  ],
};
