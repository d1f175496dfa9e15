import { MATERIALS, UNKNOWN_MATERIAL } from '@iron-patch/core';
import type { Option } from './choose-field';

/** The materials of the book, to choose from. */
export const MATERIAL_OPTIONS: readonly Option[] = [[UNKNOWN_MATERIAL, 'not known'], ...MATERIALS.map((m) => [m.id, m.name] as const)];
