import { inject, Injectable } from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { Title } from '@angular/platform-browser';
import { TitleStrategy, type RouterStateSnapshot } from '@angular/router';

const SHOP = 'Iron Patch';

/** What the browser calls the page, and says to a screen reader when another page comes: places by their routes, a job by its sheet. */
@Injectable({ providedIn: 'root' })
export class PageTitle extends TitleStrategy {
  private readonly title = inject(Title);
  private readonly announcer = inject(LiveAnnouncer);
  private said = '';

  override updateTitle(snapshot: RouterStateSnapshot): void {
    const words = this.buildTitle(snapshot);
    if (words) this.be(words);
  }

  /**
   * @param words of the page
   * @param more what is looked at on it: it stands in the title, and is not said each time that it changes
   */
  be(words: string, more = ''): void {
    this.title.setTitle(`${words}${more ? `: ${more}` : ''}, ${SHOP}`);
    if (this.said && this.said !== words) void this.announcer.announce(words, 'polite');
    this.said = words;
  }
}
