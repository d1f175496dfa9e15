import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();

/** The first component on a cold machine compiles everything before it is drawn. */
jest.setTimeout(20_000);
