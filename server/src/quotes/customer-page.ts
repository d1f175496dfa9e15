import { routes } from '@iron-patch/contract';
import {
  capital,
  dayWords,
  LANGUAGE,
  moneyWords,
  priceWords,
  readyWords,
  type Problem,
  type QuoteCard,
  type QuoteRecord,
  type QuoteState,
  type QuotedWay,
} from '@iron-patch/core';

const ESCAPED: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
/** Text as it may stand in a page. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => ESCAPED[c]!);

const STYLE = `
:root { color-scheme: light; }
* { box-sizing: border-box; }
body { margin: 0; background: #eef0ec; color: #1b211f; font: 18px/1.45 'Noto Sans', 'Segoe UI', Roboto, sans-serif; }
main { max-width: 760px; margin: 0 auto; padding: 20px 18px 48px; background: #fbfbf8; min-height: 100vh; }
h1 { font-size: 26px; line-height: 1.2; margin: 4px 0 6px; }
h2 { font-size: 20px; margin: 26px 0 6px; border-top: 1px solid #c9cfc8; padding-top: 14px; }
p { margin: 0 0 8px; }
.quiet { color: #55605b; font-size: 16px; }
.way { border: 1px solid #c9cfc8; border-top: 5px solid #23306b; background: #fff; padding: 14px 16px; margin: 0 0 14px; }
.way h3 { margin: 0 0 6px; font-size: 20px; }
.price { font-size: 22px; font-weight: 700; }
.word { border-left: 5px solid #0b6e5f; background: #e4f1ee; padding: 12px 16px; }
.bad { border-left: 5px solid #b3261e; background: #fbe9e7; padding: 12px 16px; }
.caution { border-left: 5px solid #8a5a0b; background: #fff4de; padding: 10px 16px; }
fieldset { border: 0; padding: 0; margin: 0 0 14px; }
legend { font-size: 20px; font-weight: 700; padding: 0; margin-bottom: 8px; }
form { border-top: 1px solid #c9cfc8; margin-top: 26px; padding-top: 14px; }
.pick { display: flex; gap: 12px; align-items: center; min-height: 52px; padding: 6px 12px; border: 1px solid #8b958f; background: #fff; margin-bottom: 6px; }
input[type=radio] { width: 24px; height: 24px; flex: none; accent-color: #23306b; }
label.field { display: block; font-weight: 600; margin-bottom: 12px; }
input[type=text], textarea { display: block; width: 100%; font: inherit; padding: 10px 12px; border: 1px solid #8b958f; background: #fff; color: inherit; margin-top: 4px; }
button { font: inherit; font-size: 20px; font-weight: 700; min-height: 56px; padding: 8px 26px; border: 0; background: #8a5a0b; color: #fff; width: 100%; }
:focus-visible { outline: 3px solid #23306b; outline-offset: 2px; }
img { display: block; width: 100%; height: auto; margin-bottom: 10px; border: 1px solid #c9cfc8; }
.problem { color: #b3261e; font-weight: 600; }
@media print { form { display: none; } body, main { background: #fff; } }
`;

const page = (title: string, body: string): string => `<!doctype html>
<html lang="${LANGUAGE}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex, nofollow"><title>${escaped(title)}</title><style>${STYLE}</style></head>
<body><main>${body}</main></body></html>`;

/** A link that leads nowhere, or no more: the same words whatever the reason. */
export const noSuchQuote = (): string =>
  page(
    'Nothing here',
    '<h1>This link leads nowhere any more</h1><p>It may have run out, or another one was sent. Ask the shop for a new one.</p>',
  );

/** Too many came from one place. */
export const tooManyAsked = (): string => page('Too often', '<h1>That was too often</h1><p>Wait a minute, then load this page again.</p>');

function wayOnPage(w: QuotedWay, number: number, card: QuoteCard): string {
  return `<section class="way"><h3>${number}. ${escaped(w.name)}</h3>
<p class="price">${escaped(priceWords(w, card.currency))}</p>
<p>${escaped(capital(readyWords(w, card)))}.</p>
<p><b>Holds</b> ${escaped(w.lasts)}.</p>
${w.risk ? `<p><b>What can go wrong:</b> ${escaped(w.risk)}.</p>` : ''}
${w.decides ? `<p><b>It asks for:</b> ${escaped(w.decides)}.</p>` : ''}</section>`;
}

/** What somebody typed and could not be taken. */
export interface Typed {
  readonly say: string;
  readonly name: string;
  readonly note: string;
}

const problemOf = (problems: readonly Problem[], path: string): string => {
  const found = problems.find((p) => p.path === path);
  return found ? `<span class="problem" id="${path}-said">${escaped(found.message)}</span>` : '';
};

function answerForm(card: QuoteCard, token: string, typed: Typed, problems: readonly Problem[]): string {
  const pick = (value: string, words: string): string =>
    `<label class="pick"><input type="radio" name="say" value="${value}"${typed.say === value ? ' checked' : ''}> <span>${escaped(words)}</span></label>`;
  const wrong = (path: string): string =>
    problems.some((p) => p.path === path) ? ` aria-invalid="true" aria-describedby="${path}-said"` : '';
  return `<form method="post" action="${routes.quotePage(token)}" novalidate>
${problems.length ? '<p class="bad" role="alert">Not sent yet: see below what is missing.</p>' : ''}
<fieldset${wrong('say')}><legend>Yes or no?</legend>${problemOf(problems, 'say')}
${card.ways.map((w, i) => pick(`yes:${w.id}`, `Yes, number ${i + 1}: ${w.name}`)).join('')}
${pick('no', 'No, none of these')}${pick('ask', 'I have a question first')}</fieldset>
<label class="field">Your name ${problemOf(problems, 'name')}<input type="text" name="name" maxlength="120" autocomplete="name" value="${escaped(typed.name)}"${wrong('name')}></label>
<label class="field">A note, or your question ${problemOf(problems, 'note')}<textarea name="note" rows="3" maxlength="4000"${wrong('note')}>${escaped(typed.note)}</textarea></label>
<button type="submit">Send it to the shop</button>
<p class="quiet">You answer once. What you saw here is kept with your answer.</p></form>`;
}

const lines = (text: string): string =>
  text
    .split('\n')
    .map((l) => `<p>${escaped(l)}</p>`)
    .join('');

function answered({ answer, card }: QuoteRecord, on: (at: string) => string): string {
  const way = card.ways.find((w) => w.id === answer!.wayId);
  const said = way ? `Yes: ${way.name}` : 'No, none of these';
  return `<p class="word" role="status"><b>${escaped(said)}.</b> Said by ${escaped(answer!.name)} on ${escaped(on(answer!.at))}. The shop has it.${
    answer!.note ? ` “${escaped(answer!.note)}”` : ''
  }</p>`;
}

/** What is shown and asked of one quote. */
export interface CustomerView {
  readonly quote: QuoteRecord;
  readonly state: QuoteState;
  readonly token: string;
  readonly typed: Typed;
  readonly problems: readonly Problem[];
  /** A moment as a day of the shop's calendar. */
  readonly on: (at: string) => string;
  /** A sum of money as the shop writes decimals; what people wrote stays as it is. */
  readonly mark: (text: string) => string;
}

/** The page that a customer reads and answers: this quote and nothing else. */
export function customerPage({ quote, state, token, typed, problems, on, mark }: CustomerView): string {
  const { card, questions } = quote;
  const asked = questions
    .map((n) => `<p class="word" role="status"><b>Your question of ${escaped(on(n.at))} is with the shop.</b> “${escaped(n.text)}”</p>`)
    .join('');
  const ways = card.ways.map((w, i) => wayOnPage(w, i + 1, card)).join('');
  return page(
    `${card.title}, quote of ${card.shop}`,
    `<p class="quiet">${escaped(card.shop)}, job ${card.jobNumber}</p><h1>${escaped(card.title)}</h1>
<p class="quiet">For ${escaped(card.customer)}${card.machine ? `, ${escaped(card.machine)}` : ''}. Valid until ${escaped(dayWords(card.validUntil, 'whole'))}.</p>
${quote.answer ? answered(quote, on) : asked}
${card.complaint ? `<h2>What you told us</h2>${lines(card.complaint)}` : ''}
${card.cause ? `<h2>Why it happened</h2>${lines(card.cause)}` : ''}
${card.words ? lines(card.words) : ''}
${card.photoIds.map((id) => `<img src="${routes.quotePicture(token, id)}" alt="Photograph of your part" loading="lazy">`).join('')}
<h2>${card.ways.length > 1 ? 'Ways to put it right' : 'What we propose'}</h2>${ways}
${card.stopAtMinor === null ? '' : `<p>We stop and ask you before it comes to more than <b>${escaped(mark(moneyWords(card.stopAtMinor, card.currency)))}</b>.</p>`}
<p>${card.notIncluded ? `<b>Not included:</b> ${escaped(card.notIncluded)}` : 'What we find later we quote apart, before we do it.'}</p>
${card.cautions.map((c) => `<p class="caution">${escaped(c)}</p>`).join('')}
${state === 'open' ? answerForm(card, token, typed, problems) : ''}`,
  );
}
