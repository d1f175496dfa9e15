import { etagOf, houseRuleInput, routes, type HouseRuleInput } from '@iron-patch/contract';
import { HOUSE_DEFAULT_SCHOOL, movedByShop, type HouseRule, type MovedJob, type Shop } from '@iron-patch/core';
import type { Express, Request } from 'express';
import type { Logger } from 'pino';
import { inTransaction, type Db, type Pool } from '../db';
import { bodyOf, invalid, notFound, personOf, screenOf, versionBefore } from '../http';
import { allJobIds } from '../jobs';
import { loadSheets } from '../sheets';
import { loadShop } from '../shop';
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

/** What the change would move, in every job that is not returned. */
async function preview(db: Db, id: string, rule: HouseRule | null, log: Logger): Promise<MovedJob[]> {
  const before = await loadShop(db);
  const after = withRule(before, id, rule);
  return (await loadSheets(db, await allJobIds(db))).flatMap((sheet) => {
    try {
      return movedByShop(sheet, before, after) ?? [];
    } catch (err) {
      // The floor says so of this job; the others are weighed all the same.
      log.error({ err, jobId: sheet.job.id }, 'job cannot be worked out');
      return [];
    }
  });
}

export function mountHouseRules(app: Express, pool: Pool, log: Logger): void {
  app.put(routes.houseRule(':id'), async (req, res) => {
    const id = ruleIdIn(req);
    const stored = await inTransaction(pool, screenOf(req), async (db) => {
      const personId = await personOf(db, req);
      const version = versionBefore(req);
      const input = bodyOf(houseRuleInput, req);
      const rule = ruleOf(id, input);
      refuseToLoseDefault(id, rule);
      return changeHouseRule(db, id, version, { rule, because: input.because, personId });
    });
    res
      .status(stored.version === 1 ? 201 : 200)
      .set('ETag', etagOf(stored.version))
      .json(stored);
  });

  app.post(routes.houseRulePreview(':id'), async (req, res) => {
    const id = ruleIdIn(req);
    const rule = ruleOf(id, bodyOf(houseRuleInput, req));
    refuseToLoseDefault(id, rule);
    res.json(await preview(pool, id, rule, log));
  });

  app.get(routes.houseRuleHistory(':id'), async (req, res) => {
    res.json(await houseRuleHistory(pool, ruleIdIn(req)));
  });
}
