import { routes, type AuditRow } from '@iron-patch/contract/wire';

/** What was done, by the address that it was sent to: its beginning, and what that is in words. */
const WORDS: readonly (readonly [method: string, path: string, words: string])[] = [
  ['POST', routes.sessionFirst, 'made the first account'],
  ['POST', routes.sessionPin, 'came to the bench by PIN'],
  ['POST', routes.sessionOutEverywhere, 'signed out everywhere'],
  ['POST', routes.session, 'signed in'],
  ['DELETE', routes.session, 'signed out'],
  ['PUT', routes.ownPassword, 'changed their password'],
  ['PUT', routes.ownPin, 'changed their PIN'],
  ['PUT', routes.givenPassword(':id'), 'gave somebody a password'],
  ['POST', './iron-patch password', 'were given a password at the shop’s machine'],
  ['POST', routes.outEverywhere(':id'), 'signed somebody out everywhere'],
  ['PUT', routes.person(':id'), 'changed a person'],
  ['PUT', routes.shopCard, 'changed what the shop is called'],
  ['PUT', routes.rates, 'changed the rates'],
  ['PUT', routes.hours, 'changed the hours'],
  ['PUT', routes.runOrder, 'laid out the run order'],
  ['PUT', routes.calendar, 'made or ended the calendar’s address'],
  ['PUT', routes.machine(':id'), 'changed a machine'],
  ['PUT', routes.houseRule(':id'), 'changed a house rule'],
  ['PUT', routes.bar(':id'), 'changed a bar'],
  ['POST', routes.sawn(':id'), 'put a sawing on record'],
  ['PUT', routes.instrument(':id'), 'changed an instrument'],
  ['POST', routes.instrumentChecks(':id'), 'checked an instrument'],
  ['PUT', routes.tool(':id'), 'changed a tool'],
  ['PUT', routes.drillSet(':id'), 'changed a set of drills'],
  ['POST', routes.bundles, 'brought a job in from a file'],
  ['POST', routes.jobs, 'took a job in'],
  ['PUT', routes.job(':id'), 'changed a job'],
  ['POST', routes.components(':id'), 'added a component'],
  ['PUT', routes.component(':id'), 'changed a component'],
  ['DELETE', routes.component(':id'), 'took a component off'],
  ['POST', routes.places(':id'), 'added a place'],
  ['PUT', routes.place(':id'), 'changed a place'],
  ['DELETE', routes.place(':id'), 'took a place off'],
  ['POST', routes.readingsFile(':id'), 'brought readings in from a file'],
  ['POST', routes.releases(':id'), 'released for cutting'],
  ['POST', routes.proofs(':id'), 'passed or failed what was proved'],
  ['POST', routes.notes(':id'), 'wrote a note'],
  ['POST', routes.photos(':id'), 'added a photograph'],
  ['PUT', routes.photo(':id'), 'changed a photograph'],
  ['DELETE', routes.photo(':id'), 'took a photograph off'],
  ['POST', routes.quotes(':id'), 'made a quote'],
  ['GET', routes.everything, 'took everything on record out'],
  ['POST', routes.oldLists, 'brought in an old list'],
  ['POST', routes.oldListWithdrawal(':id'), 'took an old list back'],
  ['POST', routes.quoteLink(':id'), 'made a link to a quote'],
  ['POST', routes.quoteWithdrawal(':id'), 'withdrew a quote'],
];
const lines = WORDS.map(([method, path, words]) => ({ method, at: new RegExp(`^${path.replace(':id', '[^/]+')}$`), words }));
/** Kinds of choices, as the trade calls what is chosen or put down. */
const CHOSEN: Readonly<Record<string, string>> = {
  route: 'wrote down cause and route',
  part: 'drew the part',
  plan: 'planned the cutting',
  returned: 'handed over',
  'called-off': 'called a job off or took it up again',
  comeback: 'said what it comes back from',
  urgency: 'said how urgent it is',
  'standing-still': 'said what a day without it costs',
  nominal: 'said what a place was',
  fit: 'chose a fit',
  running: 'said what a pair runs at',
  runs: 'said what runs in a pair',
  caution: 'put a licensed decision on record',
  strip: 'wrote down how a component was found',
  soft: 'put a soft part on record',
  fragment: 'put a loose piece on record',
  earlier: 'put an earlier repair on record',
  act: 'planned or did an act',
  finding: 'wrote a finding down',
  seen: 'said what was seen of a place',
  settle: 'settled a dispute of readings',
  skip: 'passed spots over',
  accept: 'accepted a number that moved',
  item: 'changed an item',
  considered: 'weighed a way to put it right',
  spent: 'wrote down time spent',
  run: 'began or ended an act of the run order',
  load: 'said what it bears',
  stack: 'said what sits on the shaft',
  assembled: 'tried it assembled',
  sawn: 'put a sawing on record',
  trial: 'tried it with its mate',
  press: 'set the press up',
  push: 'pushed it straight',
  weld: 'set the weld up',
  bead: 'laid a bead',
  piece: 'put a piece on record',
};

const CHOICE = /^\/api\/jobs\/[^/]+\/choices\/([^:/]+)/;

/** What somebody did, in a few words. */
export function doneWords({ method, path, status }: AuditRow): string {
  if (status === 401) return path === routes.sessionPin ? 'gave a wrong PIN' : 'gave a wrong password';
  const kind = CHOICE.exec(decodeURIComponent(path))?.[1];
  if (kind !== undefined) return (Object.hasOwn(CHOSEN, kind) && CHOSEN[kind]) || `chose: ${kind}`;
  return lines.find((l) => l.method === method && l.at.test(path))?.words ?? `${method} ${path}`;
}

/** Where one looks at it: the job, for what was done on one by its address; null for all else. */
export const jobOf = ({ path }: AuditRow): string | null => /^\/api\/jobs\/([^/]+)/.exec(path)?.[1] ?? null;
