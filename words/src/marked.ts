import { po } from 'gettext-parser';
import { apart } from './site';

/** Letters that look much like ours and are others. */
const FROM = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';
const TO = 'àƀćđéƒĝĥíĵķĺɱñóƥɋŕśţúṽŵẋýžÀƁĆĐÉƑĜĤÍĴĶĹṀÑÓƤɊŔŚŢÚṼŴẊÝŽ';
const OTHER = new Map([...FROM].map((c, i) => [c, [...TO][i]!]));

/** Tags of a page written in a text stay as they are. */
const mark = (words: string): string =>
  words
    .split(/(<[^>]*>|&\w+;)/)
    .map((w, i) => (i % 2 ? w : [...w].map((c) => OTHER.get(c) ?? c).join('')))
    .join('');

/** A catalogue in which every word has marked letters and its gaps stay: what still reads plain on the screen, no translation reaches. */
export function inMarkedLetters(file: Buffer): Buffer {
  const parsed = po.parse(file);
  for (const entry of Object.values(parsed.translations['']!))
    if (entry.msgid)
      entry.msgstr = (entry.msgid_plural ? [entry.msgid, entry.msgid_plural] : [entry.msgid]).map((m) =>
        apart(m)
          .map((p, i) => (i % 2 ? `{${p}}` : mark(p)))
          .join(''),
      );
  return po.compile(parsed, { foldLength: 110 });
}
