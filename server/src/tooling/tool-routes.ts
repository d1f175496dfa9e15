import { routes, toolInput } from '@iron-patch/contract';
import type { CribTool } from '@iron-patch/core';
import type { ShopRecord } from '../http';
import { saveTool, toolById } from './tool-queries';

export const tools: ShopRecord<typeof toolInput, CribTool> = {
  what: 'tool',
  path: routes.tool(':id'),
  schema: toolInput,
  byId: toolById,
  save: saveTool,
};
