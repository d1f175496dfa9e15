/** A demo job as its file holds it. `$name` stands for the id of the component or place with that key. */
export interface DemoJob {
  /** The counter ticket; the promise is in days from the day of loading. */
  readonly job: Readonly<Record<string, unknown>> & { readonly promisedInDays: number | null; readonly unit: 'mm' | 'in' };
  /** Id of the person at the bench. */
  readonly by: string;
  readonly components: readonly (Readonly<Record<string, unknown>> & { readonly key: string })[];
  readonly places: readonly (Readonly<Record<string, unknown>> & { readonly key: string; readonly instrumentId: string })[];
  readonly readings: readonly DemoGrid[];
  readonly choices: readonly { readonly key: string; readonly value: unknown; readonly reason?: string }[];
  /** Keys of items beyond the job's own new part; each gets an id that `$name` stands for. */
  readonly items?: readonly string[];
  /** What is released, cut and proved, in this order: `own`, or `$name` of an item. */
  readonly releases?: readonly string[];
  readonly cuts?: readonly DemoCuts[];
  readonly proofs?: readonly DemoProof[];
  readonly photos?: readonly DemoPhoto[];
  readonly notes: readonly { readonly station: string; readonly text: string }[];
}

/** Readings of one place: a row a station, a text a clock angle. */
export interface DemoGrid {
  readonly place: string;
  /** What was read; the diameter where it is left out. */
  readonly quantity?: string;
  /** The place's own where it is left out. */
  readonly instrumentId?: string;
  readonly clocksDeg: readonly number[];
  readonly rows: readonly { readonly stationMm: number; readonly texts: readonly string[] }[];
}

/** A picture of demo/data/photos with its markers; `place` is the key of a place. */
export interface DemoPhoto {
  readonly file: string;
  readonly caption: string;
  readonly markers: readonly { readonly x: number; readonly y: number; readonly place: string | null; readonly text: string }[];
}

/** Which piece of which item; the first of the job's own new part where it is left out. */
export interface DemoPiece {
  readonly item?: string;
  readonly piece?: number;
}

/** Cuts on one diameter: dial, size, and the part's temperature when it was warm. */
export interface DemoCuts extends DemoPiece {
  readonly segmentId: string;
  readonly instrumentId: string;
  readonly steps: readonly (readonly [number, string, number?])[];
}

/** Finished sizes by clock angle, and the judgement. */
export interface DemoProof extends DemoPiece {
  readonly segmentId: string;
  readonly instrumentId: string;
  readonly readings: readonly (readonly [stationMm: number, clockDeg: number, text: string])[];
  readonly passed: boolean;
  readonly remark: string;
}

/** Replaces every `$name` in a value, `fit:$name` too, by its id; an unknown one is a mistake in the file and throws. */
export function withIds<T>(value: T, ids: ReadonlyMap<string, string>): T {
  if (typeof value === 'string')
    return value.replace(/\$(\w+)/g, (_, name: string) => {
      const id = ids.get(name);
      if (!id) throw new Error(`The demo file names $${name}, which it does not hold.`);
      return id;
    }) as T;
  if (Array.isArray(value)) return value.map((v: unknown) => withIds(v, ids)) as T;
  if (value && typeof value === 'object') return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, withIds(v, ids)])) as T;
  return value;
}
