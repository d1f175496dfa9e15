import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The product's own folder. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)));
