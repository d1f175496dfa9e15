import { actOfChoice, type Act } from '@iron-patch/core/terms/access';
import { routes } from './routes';

/** What is asked of whoever knocks: an act that they may do; `signed-in`, anybody of the shop; `open`, nobody at all. */
export type Door = Act | 'signed-in' | 'open';

const ANY = ':id';
/** What stores something, and who may. What stands nowhere here is refused, whoever asks. */
const WRITES: readonly (readonly [method: string, path: string, door: Door])[] = [
  ['POST', routes.session, 'open'],
  ['POST', routes.sessionPin, 'open'],
  ['POST', routes.sessionFirst, 'open'],
  ['POST', routes.sessionLock, 'open'],
  ['POST', routes.sessionSeen, 'signed-in'],
  ['DELETE', routes.session, 'open'],
  ['POST', routes.sessionOutEverywhere, 'signed-in'],
  ['PUT', routes.ownPassword, 'signed-in'],
  ['PUT', routes.ownPin, 'signed-in'],
  ['PUT', routes.givenPassword(ANY), 'accounts'],
  ['POST', routes.outEverywhere(ANY), 'accounts'],
  ['PUT', routes.person(ANY), 'accounts'],
  ['PUT', routes.shopCard, 'shop'],
  ['PUT', routes.rates, 'shop'],
  ['POST', routes.oldLists, 'shop'],
  ['POST', routes.oldListWithdrawal(ANY), 'shop'],
  ['PUT', routes.machine(ANY), 'shop'],
  ['PUT', routes.houseRule(ANY), 'shop'],
  ['POST', routes.houseRulePreview(ANY), 'look'],
  ['PUT', routes.hours, 'order'],
  ['PUT', routes.runOrder, 'order'],
  ['PUT', routes.calendar, 'order'],
  ['PUT', routes.bar(ANY), 'stores'],
  ['PUT', routes.instrument(ANY), 'stores'],
  ['PUT', routes.tool(ANY), 'stores'],
  ['PUT', routes.drillSet(ANY), 'stores'],
  ['POST', routes.bundles, 'stores'],
  ['POST', routes.sawn(ANY), 'bench'],
  ['POST', routes.instrumentChecks(ANY), 'bench'],
  ['POST', routes.jobs, 'receive'],
  ['PUT', routes.job(ANY), 'receive'],
  ['POST', routes.notes(ANY), 'receive'],
  ['POST', routes.photos(ANY), 'receive'],
  ['PUT', routes.photo(ANY), 'receive'],
  ['DELETE', routes.photo(ANY), 'receive'],
  ['POST', routes.components(ANY), 'bench'],
  ['PUT', routes.component(ANY), 'bench'],
  ['DELETE', routes.component(ANY), 'bench'],
  ['POST', routes.places(ANY), 'bench'],
  ['PUT', routes.place(ANY), 'bench'],
  ['DELETE', routes.place(ANY), 'bench'],
  // Each reading of several is let in by itself: they may be of several people.
  ['POST', routes.readingsWaiting, 'signed-in'],
  ['POST', routes.readings(ANY), 'bench'],
  ['POST', routes.readingsFile(ANY), 'bench'],
  ['POST', routes.releases(ANY), 'release'],
  ['POST', routes.proofs(ANY), 'release'],
  ['POST', routes.quotes(ANY), 'quote'],
  ['POST', routes.quoteLink(ANY), 'quote'],
  ['POST', routes.quoteWithdrawal(ANY), 'quote'],
];
/** What is only looked at, other than by anybody who may look at all. */
const LOOKS: readonly (readonly [path: string, door: Door])[] = [
  [routes.alive, 'open'],
  [routes.health, 'open'],
  [routes.session, 'open'],
  [routes.accounts, 'accounts'],
  [routes.audit, 'accounts'],
  [routes.everything, 'shop'],
];

const SEGMENT = '[^/]+';
const matcher = (path: string): RegExp => new RegExp(`^${path.replaceAll('.', '\\.').replaceAll(ANY, SEGMENT)}/?$`, 'i');
const writes = WRITES.map(([method, path, door]) => ({ method, at: matcher(path), door }));
const looks = LOOKS.map(([path, door]) => ({ at: matcher(path), door }));
const choice = new RegExp(`^${routes.choice(SEGMENT, '([^/]+)')}/?$`, 'i');

/** A part of a path as it was meant; itself where it means nothing. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

/**
 * What somebody does who asks so; null for what stores something and stands nowhere: nobody may.
 *
 * @param method of HTTP, in capitals
 * @param path without its query, still encoded
 */
export function doorOf(method: string, path: string): Door | null {
  if (method === 'GET' || method === 'HEAD') return looks.find((l) => l.at.test(path))?.door ?? 'look';
  const key = method === 'PUT' ? choice.exec(path)?.[1] : undefined;
  if (key !== undefined) return actOfChoice(decoded(key));
  return writes.find((w) => w.method === method && w.at.test(path))?.door ?? null;
}
