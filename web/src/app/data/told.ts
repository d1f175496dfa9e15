import { inject, Injectable, signal } from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ApiProblem, NO_ANSWER, NoAnswer } from './answers';

/** One sentence about what was just done or went wrong, and the way back where there is one. */
export interface Message {
  readonly text: string;
  readonly bad: boolean;
  readonly back?: (() => Promise<unknown>) | undefined;
  /** What may be done about it. */
  readonly offer?: Offer | undefined;
}

/** A button: its word, and what it does. */
export interface Offer {
  readonly word: string;
  readonly act: () => Promise<unknown>;
}

/**
 * What cannot be told at a field: shown under the strip until somebody closes it or the next is told; said to a screen reader; a bug goes to
 * the log as well.
 */
@Injectable({ providedIn: 'root' })
export class Told {
  private readonly announcer = inject(LiveAnnouncer);
  readonly message = signal<Message | null>(null);

  /** Says that something is done, and offers the way back. */
  say(text: string, back?: () => Promise<unknown>): void {
    this.show({ text, bad: false, back });
  }

  /** Says what is so, and offers to do something about it. */
  offer(text: string, offer: Offer): void {
    this.show({ text, bad: false, offer });
  }

  /** Says why something is not done. */
  refuse(text: string): void {
    this.show({ text, bad: true });
  }

  /** Does something and tells what becomes of it where that is bad; never throws. */
  async doing(act: () => Promise<unknown>): Promise<void> {
    try {
      await act();
    } catch (e) {
      this.wrong(e);
    }
  }

  /** Tells what went wrong. */
  wrong(e: unknown): void {
    if (e instanceof NoAnswer) return this.show({ text: NO_ANSWER, bad: true });
    if (!(e instanceof ApiProblem)) {
      console.error(e);
      return this.show({ text: 'Something in Iron Patch went wrong. What was stored is stored; load the page again.', bad: true });
    }
    const { status, problems, title, detail } = e.details;
    const told = problems?.map((p) => p.message).join(' ');
    if (status === 412)
      return this.show({ text: 'Somebody else changed this in the meantime: look at theirs, then do it again.', bad: true });
    this.show({ text: told || `${title} ${detail}`, bad: true });
  }

  /** Tells what no screen tells by itself: a refusal, or no answer, stands where it was asked for already; anything else is a bug. */
  readonly bug = (e: unknown): void => {
    if (!(e instanceof ApiProblem || e instanceof NoAnswer)) this.wrong(e);
  };

  /** What to go on with where no answer came: nothing of a bug is hidden by it. */
  readonly or =
    <T>(instead: T) =>
    (e: unknown): T => {
      this.bug(e);
      return instead;
    };

  async undo(): Promise<void> {
    const back = this.message()?.back;
    this.close();
    if (back) await this.doing(back);
  }

  close(): void {
    this.message.set(null);
  }

  private show(message: Message): void {
    this.message.set(message);
    void this.announcer.announce(message.text, message.bad ? 'assertive' : 'polite');
  }
}
