import { houseRuleInput, routes, type HouseRuleInput, type HouseRulePreview } from '@iron-patch/contract';
import { HOUSE_DEFAULT_SCHOOL, type HouseRule, type Shop } from '@iron-patch/core';
import type { Express, Request } from 'express';
import type { Pool } from '../db';
import { askedIn, bodyOf, changeOnce, invalid, notFound, personOf, stored, versionBefore } from '../http';
import { loadSheets } from '../sheets';
import { loadShop } from '../shop';
import type { Bench, Standings } from '../standings';
import { changeHouseRule, houseRuleHistory } from './house-rule-queries';

const RULE_ID = /^[a-z0-9-]{1,60}$/;

function ruleIdIn(req: Request): string {
  const id = String(req.params['id']);
  if (!RULE_ID.test(id)) throw notFound('house rule');
  return id;
}

/** The rule that the input asks for; null when it is to be withdrawn. */
function ruleOf(id: string, input: HouseRuleInput): HouseRule | null {
  const { name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason } = input;
  return input.removed ? null : { id, name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason };
}

/** The default is changed, never withdrawn: a hole that nobody chose a fit for rests on it. */
function refuseToLoseDefault(id: string, rule: HouseRule | null): void {
  if (rule === null && id === HOUSE_DEFAULT_SCHOOL)
    throw invalid([
      {
        code: 'default',
        path: 'removed',
        message: 'This is the house default for holes in the open: change its numbers, it cannot be taken away.',
      },
    ]);
}

const withRule = (shop: Shop, id: string, rule: HouseRule | null): Shop => {
  const others = shop.houseRules.filter((r) => r.id !== id);
  const at = shop.houseRules.findIndex((r) => r.id === id);
  const houseRules = rule === null ? others : others.toSpliced(at < 0 ? others.length : at, 0, { ...rule, version: 0 });
  return { ...shop, houseRules };
};

/** Open jobs that are weighed in one answer: the screen asks for the next ones and shows how far it is. */
const WEIGHED_AT_ONCE = 20;

/** What the change would move in some of the open jobs, those after the one that was weighed last. */
async function preview(
  pool: Pool,
  { standings, bench }: Weighing,
  id: string,
  rule: HouseRule | null,
  last: string,
): Promise<HouseRulePreview> {
  const open = await standings.openIds();
  const from = open.findIndex((jobId) => jobId > last);
  const ids = from < 0 ? [] : open.slice(from, from + WEIGHED_AT_ONCE);
  const weighed = from < 0 ? open.length : from + ids.length;
  const [before, sheets] = [await loadShop(pool), await loadSheets(pool, ids)];
  const moved = ids.length ? await bench.moves({ sheets, before, after: withRule(before, id, rule) }) : [];
  return { moved, weighed, open: open.length, last: weighed < open.length ? ids.at(-1)! : null };
}

/** Which jobs are open, and where they are weighed. */
export interface Weighing {
  readonly standings: Standings;
  readonly bench: Bench;
}

export function mountHouseRules(app: Express, pool: Pool, weighing: Weighing): void {
  app.put(routes.houseRule(':id'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = ruleIdIn(req);
      const personId = await personOf(db, req);
      const version = versionBefore(req);
      const input = bodyOf(houseRuleInput, req);
      const rule = ruleOf(id, input);
      refuseToLoseDefault(id, rule);
      return stored(await changeHouseRule(db, id, version, { rule, because: input.because, personId }));
    }),
  );

  app.post(routes.houseRulePreview(':id'), async (req, res) => {
    const id = ruleIdIn(req);
    const rule = ruleOf(id, bodyOf(houseRuleInput, req));
    refuseToLoseDefault(id, rule);
    res.json(await preview(pool, weighing, id, rule, askedIn(req, 'after')));
  });

  app.get(routes.houseRuleHistory(':id'), async (req, res) => {
    res.json(await houseRuleHistory(pool, ruleIdIn(req)));
  });
}
