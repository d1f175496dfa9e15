import { ChangeDetectionStrategy, Component, HostListener, input, output } from '@angular/core';
import { NzUploadModule, type NzUploadFile } from 'ng-zorro-antd/upload';

/** A button that files are chosen with, or dropped on. What it stands for is written between its tags. */
@Component({
  selector: 'ip-file',
  imports: [NzUploadModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nz-upload [nzMultiple]="multiple()" [nzAccept]="accept()" [nzDisabled]="busy()" [nzShowUploadList]="false" [nzBeforeUpload]="take">
      <ng-content />
    </nz-upload>
  `,
})
export class FileField {
  /** What the system's own list offers: types and endings, with commas between. What is dropped is held to it too. */
  readonly accept = input.required<string>();
  readonly multiple = input(false);
  readonly busy = input(false);
  readonly picked = output<readonly File[]>();

  /** Nothing is sent by the library: what becomes of a file is for whoever asked for it. */
  protected readonly take = (file: NzUploadFile, all: NzUploadFile[]): boolean => {
    // Asked once a file, with all that were chosen together.
    if (file === all[0]) this.picked.emit(all as unknown as readonly File[]);
    return false;
  };

  /** The library's button goes by Enter alone. */
  @HostListener('keydown.space', ['$event'])
  protected space(event: Event): void {
    event.preventDefault();
    (event.target as HTMLElement).click();
  }
}
