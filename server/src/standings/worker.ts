import { weighMoves, workOutAll, type MovesToWeigh, type SheetsToWorkOut } from './work-out';

/** What a thread of the bench does; each is called by its name. */
export const workOut = (work: SheetsToWorkOut) => workOutAll(work);
export const moves = (work: MovesToWeigh) => weighMoves(work);
