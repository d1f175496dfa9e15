import { ChangeDetectionStrategy, Component, effect, HostListener, inject, untracked, viewChild, type TemplateRef } from '@angular/core';
import { NzMessageService } from 'ng-zorro-antd/message';
import { Told } from '../data';

/** What was just done or went wrong, with the way back: one message at a time, under the strip, until somebody closes it. */
@Component({
  selector: 'ip-told',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-template #bar>
      @if (told.message(); as m) {
        <div class="told" [class.bad]="m.bad" role="group" aria-label="Just done">
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
    </ng-template>
  `,
})
export class ToldBar {
  protected readonly told = inject(Told);
  private readonly messages = inject(NzMessageService);
  private readonly bar = viewChild.required<TemplateRef<void>>('bar');

  constructor() {
    effect((onCleanup) => {
      if (!this.told.message()) return;
      const { messageId } = untracked(() => this.messages.create('', this.bar(), { nzDuration: 0, nzAnimate: false }));
      onCleanup(() => this.messages.remove(messageId));
    });
  }

  @HostListener('document:keydown', ['$event'])
  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLInputElement;
    const typing = /^(INPUT|TEXTAREA)$/.test(target.tagName) && target.value !== '';
    if (!(event.ctrlKey || event.metaKey) || event.key !== 'z' || typing || !this.told.message()?.back) return;
    event.preventDefault();
    void this.told.undo();
  }
}
