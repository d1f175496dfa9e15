import { afterRenderEffect, ChangeDetectionStrategy, Component, ElementRef, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { STATION_NAMES, type StationId, type StationStanding } from '@iron-patch/core';
import { SheetStore } from '../sheet-data';
import { StateMark } from '../mark';

const WORDS: Readonly<Record<StationStanding['state'], string>> = {
  done: 'done',
  'under-way': 'under way',
  'not-yet': 'not yet',
  out: 'something is wrong',
  'not-needed': 'not needed here',
};

/** The nine stations down the left, each with where it stands. */
@Component({
  selector: 'ip-rail',
  imports: [RouterLink, RouterLinkActive, StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Stations">
      @for (s of store.repair()?.stations ?? []; track s.id) {
        <a
          [routerLink]="['/jobs', store.sheet()!.job.id, s.id]"
          routerLinkActive="on"
          ariaCurrentWhenActive="page"
          [title]="s.waitsFor ? 'Waits for ' + s.waitsFor : s.state === 'not-needed' ? 'This job has nothing to do here' : ''"
          [class.next]="s.id === store.next()?.id"
        >
          <ip-state [state]="s.state" />
          <span
            >{{ names[s.id] }}<span class="sr-only">, {{ words[s.state] }}</span></span
          >
        </a>
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      flex-direction: column;
      padding-top: 10px;
    }
    a {
      display: flex;
      align-items: center;
      gap: 10px;
      height: 52px;
      padding: 0 10px 0 12px;
      border-left: 4px solid transparent;
      color: var(--quiet);
      text-decoration: none;
      font: 400 17px var(--label);
    }
    a:hover {
      background: var(--hover);
    }
    a.on {
      background: var(--sheet);
      border-color: var(--blue);
      color: var(--ink);
      font-weight: 600;
    }
    a.next span {
      text-decoration: underline;
      text-decoration-color: var(--accent);
      text-decoration-thickness: 3px;
      text-underline-offset: 5px;
    }
    @media (max-width: 1000px) {
      a {
        flex-direction: column;
        justify-content: center;
        gap: 2px;
        height: 56px;
        padding: 0 2px;
        font-size: 13px;
      }
    }
    @media (max-width: 600px) {
      nav {
        flex-direction: row;
        padding: 0;
      }
      a {
        flex: 0 0 62px;
        border-left: 0;
        border-top: 4px solid transparent;
      }
    }
    .sr-only {
      text-decoration: none;
    }
  `,
})
export class Rail {
  readonly station = input.required<StationId>();
  protected readonly store = inject(SheetStore);
  protected readonly names = STATION_NAMES;
  protected readonly words = WORDS;
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  constructor() {
    // Where the rail is a row that scrolls, the station one is at is in sight.
    afterRenderEffect(() => {
      this.station();
      if (!this.store.repair()) return;
      const on = this.host.nativeElement.querySelector<HTMLElement>('a.on');
      if (on) this.host.nativeElement.scrollTo({ left: on.offsetLeft - (this.host.nativeElement.clientWidth - on.offsetWidth) / 2 });
    });
  }
}
