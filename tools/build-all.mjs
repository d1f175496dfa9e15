import { buildAll } from './build.mjs';

buildAll();
