const RELIEF = /\b(relief|undercut|run-?out( groove)?|recess)\b/i;

/** A groove that holds no ring, told by its name: the run-out of a thread, a corner cut clear. */
export const isRelief = (name: string): boolean => RELIEF.test(name);
