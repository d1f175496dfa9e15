import { machineInput, routes, type MachineInput } from '@iron-patch/contract';
import type { Machine } from '@iron-patch/core';
import type { ShopRecord } from '../http';
import { machineById, saveMachine } from './machine-queries';

export { allMachines, saveMachine } from './machine-queries';

export const machines: ShopRecord<typeof machineInput, Machine> = {
  what: 'machine',
  path: routes.machine(':id'),
  schema: machineInput,
  byId: machineById,
  save: (db, id, version, input) => saveMachine(db, id, version, input as MachineInput),
};
