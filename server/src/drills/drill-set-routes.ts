import { drillSetInput, routes } from '@iron-patch/contract';
import type { DrillSet } from '@iron-patch/core';
import type { ShopRecord } from '../http';
import { drillSetById, saveDrillSet } from './drill-set-queries';

export const drillSets: ShopRecord<typeof drillSetInput, DrillSet> = {
  what: 'set of drills',
  path: routes.drillSet(':id'),
  schema: drillSetInput,
  byId: drillSetById,
  save: saveDrillSet,
};
