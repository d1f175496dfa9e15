import { effect, inject, Injectable, signal, untracked, type Signal, type WritableSignal } from '@angular/core';
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

/** A form whose fields are kept while they hold something that is not stored. */
export interface KeptDraft {
  /** When what is shown was typed, where it came back from an earlier visit; null otherwise. */
  readonly back: Signal<Date | null>;
  /** What the fields hold now is stored, or is where the form starts again. */
  done(): void;
  /** Puts the fields back to where the form started. */
  throwAway(): void;
}

/** A field of a form; whatever it holds goes through JSON. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type FieldSignal = WritableSignal<any>;

/**
 * Keeps the fields of a form, from the first that differs from how the form opened until they are stored or thrown away, and brings them
 * back where the same form is opened again. To be called where the form's fields are made. What a save rests on (the version that was
 * opened, the key of a new record) is a field too: what comes back is saved against what it was typed over, and once.
 *
 * @param key which form, of which record: the same whenever it is opened
 * @param fields of the form, by name
 * @param untouched what the fields hold while nobody typed, where that may change by itself
 */
export function keptDraft(
  key: () => string,
  fields: Readonly<Record<string, FieldSignal>>,
  untouched?: () => Readonly<Record<string, unknown>>,
): KeptDraft {
  const drafts = inject(Drafts);
  const back = signal<Date | null>(null);
  const values = (): Record<string, unknown> =>
    Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, field() as unknown]));
  const asText = (): string => JSON.stringify(values());
  let open = '';
  let start = '';

  async function recall(of: string): Promise<void> {
    const kept = await drafts.get(of);
    if (!kept || open !== of || untracked(asText) !== start) return;
    for (const [name, value] of Object.entries(kept.values)) fields[name]?.set(value);
    back.set(new Date(kept.at));
  }
  effect(() => {
    const [of, now, clean] = [key(), asText(), untouched && JSON.stringify(untouched())];
    untracked(() => {
      if (of !== open) {
        [open, start] = [of, now];
        back.set(null);
        void recall(of);
      } else if (now === (clean ?? start)) {
        if (clean !== undefined) start = clean;
        void drafts.remove(of);
      } else void drafts.put(of, { values: values(), at: new Date().toISOString() });
    });
  });
  return {
    back,
    done(): void {
      start = untracked(asText);
      back.set(null);
      void drafts.remove(open);
    },
    throwAway(): void {
      const before = JSON.parse(untouched ? JSON.stringify(untouched()) : start) as Record<string, unknown>;
      for (const [name, value] of Object.entries(before)) fields[name]?.set(value);
      this.done();
    },
  };
}
