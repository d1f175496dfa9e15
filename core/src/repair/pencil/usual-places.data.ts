/** A kind of part as it comes over the counter, and the places that are usually measured on it, the first ones first. */
export interface UsualPart {
  readonly name: string;
  readonly places: readonly string[];
}

export const USUAL_PARTS: readonly UsualPart[] = [
  { name: 'Pin', places: ['body', 'far end', 'land', 'head', 'overall length', 'grease hole'] },
  {
    name: 'Shaft',
    places: ['bearing seat', 'far bearing seat', 'seal seat', 'body', 'ring groove', 'keyseat', 'flats', 'thread', 'overall length'],
  },
  { name: 'Housing', places: ['bore', 'far bore', 'ring groove bore', 'depth'] },
  { name: 'Bush', places: ['bush bore', 'outside', 'flange', 'overall length'] },
  { name: 'Lever', places: ['hole', 'far hole'] },
  { name: 'Rod', places: ['rod', 'spigot', 'thread', 'overall length'] },
  { name: 'Tube', places: ['tube bore', 'outside', 'ring groove bore', 'depth'] },
  { name: 'Case', places: ['hole', 'threaded hole', 'depth', 'wall', 'overall length'] },
];
