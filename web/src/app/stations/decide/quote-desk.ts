import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Clipboard } from '@angular/cdk/clipboard';
import { check, quoteWithdrawalInput, routes } from '@iron-patch/contract';
import {
  quoteMessage,
  quoteState,
  readyAfterYes,
  type Problem,
  type QuoteRecord,
  type QuoteState,
  type StationState,
} from '@iron-patch/core';
import { Api, mailFile, newId, newSecret, saveFile, ShopClock, ShopStore, ShopTimePipe, Told } from '../../data';
import { TextField } from '../../form';
import { StateMark } from '../../mark';
import { May } from '../../sign-in';
import { SheetStore } from '../../sheet-data';
import { dayWords } from '@iron-patch/core/terms/calendar';
import { jobInputOf } from '../job-input';
import { QuoteForm } from './quote-form';

const MARKS: Readonly<Record<QuoteState, StationState>> = {
  open: 'under-way',
  yes: 'done',
  no: 'out',
  expired: 'not-yet',
  withdrawn: 'not-needed',
};

/** Quotes of a job: what was proposed, what the customer said, the link and the message that go out. */
@Component({
  selector: 'ip-quotes',
  imports: [May, QuoteForm, ShopTimePipe, StateMark, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <h2>Quote and the customer’s yes</h2>
      @for (q of quotes(); track q.id) {
        <article>
          <p>
            <ip-state [state]="marks[state(q)]" />&ngsp;<b>Quote {{ q.number }}</b
            >&ngsp;
            <span class="quiet">{{ shop.personName(q.personId) }}, {{ q.at | shopTime }}; {{ names(q) }}</span>
          </p>
          <p [class.said]="state(q) === 'yes'" [class.bad]="state(q) === 'no'">{{ words(q) }}</p>
          @if (promise(q); as day) {
            <div class="row">
              @if (promisedOn() === day) {
                <p class="quiet">Promised for {{ dayOf(day) }}, as was told.</p>
              } @else {
                <button type="button" class="next" ipMay="receive" (click)="promiseIt(day)">Promise {{ dayOf(day) }}</button>
                <p class="quiet">
                  The customer was told so.
                  {{ promisedOn() ? 'The ticket says ' + dayOf(promisedOn()!) + '.' : 'The ticket promises no day yet.' }}
                </p>
              }
            </div>
          }
          @for (n of q.questions; track n.at) {
            <p class="said" data-verbatim>{{ n.name }} asks, {{ n.at | shopTime }}: “{{ n.text }}”</p>
          }
          @if (link()?.quoteId === q.id) {
            <div class="out">
              <p>
                <b>This link is shown now and never again.</b> Whoever has it can answer. It leads to
                <a [href]="link()!.address" target="_blank" rel="noopener">the customer’s page</a>.
              </p>
              <label class="message"
                >Message to the customer
                <textarea rows="13" readonly [value]="message(q).text"></textarea>
              </label>
              <div class="row">
                <button type="button" class="next" (click)="copy(q)">Copy the message</button>
                <button type="button" (click)="save(q)">Save it as a mail</button>
                <button type="button" class="plain" (click)="link.set(null)">Done</button>
              </div>
            </div>
          }
          <div class="row">
            <a [href]="pdf(q)" target="_blank">Quote {{ q.number }}, PDF</a>
            @if (state(q) === 'open') {
              <button type="button" class="plain" ipMay="quote" [attr.aria-label]="'New link to quote ' + q.number" (click)="newLink(q)">
                New link
              </button>
              <button type="button" class="plain" ipMay="quote" [attr.aria-label]="'Withdraw quote ' + q.number" (click)="ask(q)">
                Withdraw
              </button>
            }
          </div>
          @if (withdrawing() === q.id) {
            <form class="why" (submit)="$event.preventDefault(); withdraw(q)">
              <ip-text
                label="Why it is withdrawn"
                name="quoteWhy"
                path="why"
                [problems]="problems()"
                [value]="why()"
                (valueChange)="why.set($event)"
              />
              <div class="row">
                <button type="button" (click)="withdrawing.set('')">Cancel</button>
                <button type="submit">Withdraw it</button>
              </div>
            </form>
          }
        </article>
      } @empty {
        <p class="quiet">
          {{
            ways()
              ? 'Nothing went to the customer yet. A quote freezes the ways above with their prices, and has a page on which they say yes or no.'
              : 'Put ways to put it right side by side first: a quote is made of them.'
          }}
        </p>
      }
      @if (making()) {
        <ip-quote-form (closed)="making.set(false)" (made)="show($event.quote.id, $event.token)" />
      } @else if (ways()) {
        <button type="button" ipMay="quote" (click)="making.set(true)">{{ quotes().length ? 'Another quote' : 'Make a quote' }}</button>
      }
    </section>
  `,
  styles: `
    section {
      margin-bottom: 22px;
    }
    article {
      border-bottom: 1px solid var(--hairline);
      padding: 8px 0 10px;
      display: grid;
      gap: 6px;
    }
    .out {
      border-left: 4px solid var(--accent);
      background: var(--accent-soft);
      padding: 10px 14px;
      display: grid;
      gap: 8px;
    }
    .message {
      display: block;
      font: 600 15px var(--label);
    }
    textarea {
      display: block;
      width: 100%;
      font: 400 16px/1.4 var(--text);
      padding: 8px 10px;
      border: 1px solid var(--edge);
      background: var(--field);
      color: var(--ink);
    }
    a {
      text-decoration: underline;
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
    .out a {
      min-height: 0;
    }
    .why {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 12px;
      align-items: end;
    }
  `,
})
export class QuoteDesk {
  private readonly store = inject(SheetStore);
  private readonly api = inject(Api);
  private readonly clock = inject(ShopClock);
  private readonly clipboard = inject(Clipboard);
  private readonly told = inject(Told);
  protected readonly shop = inject(ShopStore);
  protected readonly marks = MARKS;
  protected readonly making = signal(false);
  protected readonly withdrawing = signal('');
  protected readonly why = signal('');
  protected readonly problems = signal<readonly Problem[]>([]);
  /** The link that was just made: its secret is on no server. */
  protected readonly link = signal<{ readonly quoteId: string; readonly address: string } | null>(null);
  protected readonly quotes = computed(() => this.store.sheet()?.quotes ?? []);
  protected readonly ways = computed(() => (this.store.repair()?.routes ?? []).some((w) => w.route.value.state !== 'dropped'));

  protected state(q: QuoteRecord): QuoteState {
    return quoteState(q, this.clock.today());
  }

  protected names({ card }: QuoteRecord): string {
    return card.ways.map((w) => w.name).join('; ');
  }

  protected words(q: QuoteRecord): string {
    const { answer, card, withdrawn } = q;
    if (answer) {
      const way = card.ways.find((w) => w.id === answer.wayId);
      const note = answer.note ? ` “${answer.note}”` : '';
      return `${answer.name} said ${way ? `yes to: ${way.name}` : 'no'} on ${this.clock.words(answer.at)}.${note}`;
    }
    if (withdrawn) return `Withdrawn by ${this.shop.personName(withdrawn.personId, 'somebody')}: ${withdrawn.why}`;
    const until = dayWords(card.validUntil);
    return this.state(q) === 'expired' ? `It ran out on ${until} without an answer.` : `Waits for the customer, until ${until}.`;
  }

  /** The day that the customer reckons with who said yes; null where nobody did, or another quote came after. */
  protected promise(q: QuoteRecord): string | null {
    const way = q.card.ways.find((w) => w.id === q.answer?.wayId);
    return way && q === this.quotes().at(-1) ? readyAfterYes(way, q.card, this.clock.dayOf(q.answer!.at)) : null;
  }

  protected readonly promisedOn = computed(() => this.store.sheet()?.job.promisedOn ?? null);
  protected readonly dayOf = (day: string): string => dayWords(day);

  protected async promiseIt(day: string): Promise<void> {
    await this.told.doing(async () => {
      const sheet = this.store.sheet()!;
      const saved = await this.store.saveJob({ ...jobInputOf(sheet), promisedOn: day }, sheet.job.version);
      if (saved) this.told.say(`Promised for ${dayWords(day)}.`);
    });
  }

  protected pdf = ({ id }: QuoteRecord): string => routes.quotePdf(id);
  protected message = ({ card }: QuoteRecord): ReturnType<typeof quoteMessage> => quoteMessage(card, this.link()!.address);

  protected show(quoteId: string, token: string): void {
    this.link.set({ quoteId, address: location.origin + routes.quotePage(token) });
  }

  protected newLink(q: QuoteRecord): Promise<void> {
    const token = newSecret();
    return this.told.doing(async () => {
      await this.api.post(routes.quoteLink(q.id), { token }, newId());
      this.show(q.id, token);
    });
  }

  protected copy(q: QuoteRecord): void {
    if (this.clipboard.copy(this.message(q).text)) this.told.say('The message is copied: paste it where you write to the customer.');
    else this.told.say('It could not be copied: mark the text and copy it yourself.');
  }

  /** A file that the mail program of this machine opens to send. */
  protected save(q: QuoteRecord): void {
    const { subject, text } = this.message(q);
    const mail = mailFile(this.store.sheet()!.customer.contact.trim(), subject, text);
    saveFile(new Blob([mail], { type: 'message/rfc822' }), `quote-${q.card.jobNumber}-${q.number}.eml`);
  }

  protected ask({ id }: QuoteRecord): void {
    this.why.set('');
    this.problems.set([]);
    this.withdrawing.set(id);
  }

  protected withdraw({ id }: QuoteRecord): Promise<void> {
    const input = { why: this.why().trim() };
    const checked = check(quoteWithdrawalInput, input);
    this.problems.set(checked.ok ? [] : checked.problems);
    if (!checked.ok) return Promise.resolve();
    return this.told.doing(async () => {
      await this.api.post(routes.quoteWithdrawal(id), input, newId());
      await this.store.refresh();
      this.withdrawing.set('');
      this.link.set(null);
    });
  }
}
