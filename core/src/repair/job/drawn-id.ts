/** Where something of the drawing comes from a place, its id says so. */
const HEAD = 'of-';
/** Id of what is drawn from a place: it lasts as long as the place does. */
export const drawnId = (placeId: string): string => HEAD + placeId;
/** The place that something of a drawing was drawn from; null for anything else. */
export const placeOf = (id: string): string | null => (id.startsWith(HEAD) ? id.slice(HEAD.length) : null);
/** Whether something was drawn from that place: one that comes twice along the part has a number behind it. */
export const isDrawnFrom = (id: string, placeId: string): boolean => id === drawnId(placeId) || id.startsWith(`${drawnId(placeId)}-`);
