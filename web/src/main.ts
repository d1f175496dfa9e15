import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  document.body.textContent = 'Iron Patch could not start in this browser. Reload the page; if it stays, update the browser.';
  console.error(error);
});
