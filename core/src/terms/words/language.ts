/** What the product speaks, BCP 47: a build in other words has another here. */
export const LANGUAGE = 'en';
