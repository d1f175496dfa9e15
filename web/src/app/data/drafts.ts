import { effect, inject, Injectable, signal, untracked, type Signal } from '@angular/core';
import { Shelf } from './shelf';

/** What the fields of a form held, and when. */
export interface Draft {
  readonly values: Readonly<Record<string, unknown>>;
  readonly at: string;
}

/** What was typed into forms and is not stored yet, kept in this browser over a reload, a closed page and a dead server. */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly shelf = new Shelf<Draft>('iron-patch-drafts', 'drafts');
  private readonly unkept = signal<ReadonlySet<string>>(new Set());

  /** True while something is typed that the browser had no room to keep. */
  full(): boolean {
    return this.unkept().size > 0;
  }

  get(key: string): Promise<Draft | undefined> {
    return this.shelf.get(key);
  }

  async put(key: string, draft: Draft): Promise<void> {
    const kept = await this.shelf.put(key, draft);
    this.mark(key, !kept);
  }

  async remove(key: string): Promise<void> {
    this.mark(key, false);
    await this.shelf.remove(key);
  }

  private mark(key: string, unkept: boolean): void {
    this.unkept.update((keys) => {
      if (keys.has(key) === unkept) return keys;
      return unkept ? new Set([...keys, key]) : new Set([...keys].filter((k) => k !== key));
    });
  }
}

type Values = Readonly<Record<string, unknown>>;

/** A form whose fields are kept while they hold something that is not stored. */
export interface KeptDraft {
  /** When what is shown was typed, where it came back from an earlier visit; null otherwise. */
  readonly back: Signal<Date | null>;
  /** True while the fields hold something that is not stored. */
  typed(): boolean;
  /** What the fields hold now is stored, or is where the form starts again. */
  done(): void;
  /** Puts the fields back to where the form started. */
  throwAway(): void;
}

/**
 * For what a form starts from, worked out of a sheet: it is another only when it says something else. Without it any news of the job would
 * start the form again, over what is being typed.
 */
export const SAME_VALUE = { equal: (p: unknown, q: unknown): boolean => JSON.stringify(p) === JSON.stringify(q) } as const;

/** A field of a form, or all of one; whatever it holds goes through JSON. */
export interface KeptField {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  (): any;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  set(value: any): void;
}

/** What else a draft hangs on. */
export interface DraftTerms {
  /** What the fields hold while nobody typed, where that moves on by itself: what is stored. */
  readonly untouched?: () => Readonly<Record<string, unknown>>;
  /** What a save rests on and may move on by itself, the stored version say: kept and brought back, and no sign of typing. */
  readonly rests?: Readonly<Record<string, KeptField>>;
}

/**
 * Keeps the fields of a form, from the first that differs from how the form opened until they are stored or thrown away, and brings them
 * back where the same form is opened again. To be called where the form's fields are made. What a save rests on (the version that was
 * opened, the key of a new record) is kept with them: what comes back is saved against what it was typed over, and once. Where somebody
 * else's save moves on what is stored while one types, what was typed stays, over what it was typed over: saving it asks.
 *
 * @param key which form, of which record: the same whenever it is opened
 * @param fields of the form, by name
 */
export function keptDraft(
  key: () => string,
  fields: Readonly<Record<string, KeptField>>,
  { untouched, rests = {} }: DraftTerms = {},
): KeptDraft {
  const drafts = inject(Drafts);
  const back = signal<Date | null>(null);
  const all = { ...fields, ...rests };
  const read = (of: typeof fields): Values => Object.fromEntries(Object.entries(of).map(([name, field]) => [name, field() as unknown]));
  const write = (values: Values): void => {
    for (const [name, value] of Object.entries(values)) all[name]?.set(value);
  };
  const asText = (): string => JSON.stringify(read(fields));
  let open = '';
  let start = '';
  /** What somebody typed, while it differs from where the form started. */
  let typed: { readonly text: string; readonly values: Values } | null = null;

  const clear = (): void => {
    typed = null;
    back.set(null);
    void drafts.remove(open);
  };
  async function recall(of: string): Promise<void> {
    const kept = await drafts.get(of);
    if (!kept || open !== of || untracked(asText) !== start) return;
    write(kept.values);
    back.set(new Date(kept.at));
  }
  function look(of: string, now: string, clean: string | undefined): void {
    if (of !== open) {
      [open, start, typed] = [of, now, null];
      back.set(null);
      void recall(of);
    } else if (clean !== undefined && clean !== start) {
      start = clean;
      if (!typed || typed.text === clean) return clear();
      write(typed.values);
      back.set(new Date());
    } else if (now === start) {
      if (typed || back()) clear();
    } else {
      typed = { text: now, values: read(all) };
      void drafts.put(of, { values: typed.values, at: new Date().toISOString() });
    }
  }
  effect(() => {
    const [of, now, clean] = [key(), asText(), untouched && JSON.stringify(untouched())];
    untracked(() => look(of, now, clean));
  });
  return {
    back,
    typed: () => open !== '' && untracked(asText) !== start,
    done(): void {
      start = untracked(() => (untouched ? JSON.stringify(untouched()) : asText()));
      clear();
    },
    throwAway(): void {
      write(JSON.parse(untouched ? JSON.stringify(untouched()) : start) as Values);
      this.done();
    },
  };
}
