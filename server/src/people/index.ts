import { personInput, routes } from '@iron-patch/contract';
import type { ShopRecord } from '../http';
import type { PersonRecord } from '@iron-patch/core';
import { personById, savePerson } from './person-queries';

export { allPeople, savePerson } from './person-queries';

/** Who works here; the first may be told by nobody. */
export const people: ShopRecord<typeof personInput, PersonRecord> = {
  what: 'person',
  path: routes.person(':id'),
  schema: personInput,
  byId: personById,
  save: savePerson,
  byNobody: true,
};
