/** The first file on a cold machine compiles everything before its first hook is done. */
jest.setTimeout(60_000);
