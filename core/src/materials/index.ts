import { MATERIALS, type MaterialRow } from './materials.data';

export type Material = MaterialRow;
export { MATERIALS };

/** The material of that id, or undefined. */
export const materialOf = (id: string): Material | undefined => MATERIALS.find((m) => m.id === id);
