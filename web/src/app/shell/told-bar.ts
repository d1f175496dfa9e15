import { ChangeDetectionStrategy, Component, HostListener, inject } from '@angular/core';
import { Told } from '../data';

/** What was just done or went wrong, with the way back. */
@Component({
  selector: 'ip-told',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (told.message(); as m) {
      <div class="bar" [class.bad]="m.bad" role="group" aria-label="Just done">
        <span>{{ m.text }}</span>
        @if (m.back) {
          <button type="button" title="Ctrl + Z" (click)="told.undo()">Undo</button>
        }
        @if (m.offer; as offer) {
          <button type="button" (click)="told.doing(offer.act)">{{ offer.word }}</button>
        }
        <button type="button" class="plain" (click)="told.close()">Close</button>
      </div>
    }
  `,
  styles:
    '.bar { position: fixed; z-index: 20; left: 50%; bottom: 12px; transform: translateX(-50%); width: max-content; max-width: calc(100vw - 24px); display: flex; gap: 14px; align-items: center; background: var(--sheet); border: 1px solid var(--quiet); border-left: 5px solid var(--accent); padding: 8px 8px 8px 16px; font-size: 17px; } .bad { border-left-color: var(--out); } @media print { .bar { display: none; } }',
})
export class ToldBar {
  protected readonly told = inject(Told);

  @HostListener('document:keydown', ['$event'])
  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLInputElement;
    const typing = /^(INPUT|TEXTAREA)$/.test(target.tagName) && target.value !== '';
    if (!(event.ctrlKey || event.metaKey) || event.key !== 'z' || typing || !this.told.message()?.back) return;
    event.preventDefault();
    void this.told.undo();
  }
}
