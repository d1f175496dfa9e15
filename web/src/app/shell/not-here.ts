import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'ip-not-here',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section>
    <h1>There is nothing at this address.</h1>
    <p>The job may have been asked for by an old link. <a routerLink="/">Go to the floor</a>.</p>
  </section>`,
  styles: 'section { padding: 32px; } h1 { font-size: 24px; margin-bottom: 8px; }',
})
export class NotHere {}
