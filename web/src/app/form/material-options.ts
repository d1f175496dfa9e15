import { MATERIALS } from '@iron-patch/core';
import type { Option } from './choose-field';

/** The materials of the book, to choose from. */
export const MATERIAL_OPTIONS: readonly Option[] = MATERIALS.map((m) => [m.id, m.name] as const);
