/** A story goes through nine stations in a real browser. */
jest.setTimeout(180_000);
