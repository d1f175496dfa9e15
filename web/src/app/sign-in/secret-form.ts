import { signal } from '@angular/core';
import type { Outcome, Problem } from '@iron-patch/core';
import { ApiProblem, NO_ANSWER, NoAnswer } from '../data';

/** What is typed of names and secrets: never kept in this browser, and gone as soon as it was taken. */
export class SecretForm<V extends Record<string, string>> {
  readonly value = signal<V>(this.start);
  readonly busy = signal(false);
  readonly problems = signal<readonly Problem[]>([]);
  /** What could not be told at a field. */
  readonly message = signal('');

  /**
   * @param check the check that browser and server share
   * @param send hands it to the server; rejects as the API does
   */
  constructor(
    private readonly start: V,
    private readonly check: (value: V) => Outcome<unknown>,
    private readonly send: (value: V) => Promise<void>,
  ) {}

  set(part: Partial<V>): void {
    this.value.update((v) => ({ ...v, ...part }));
    const names = Object.keys(part);
    this.problems.update((all) => all.filter((p) => !names.includes(p.path)));
  }

  said(field: keyof V & string): string {
    return this.problems().find((p) => p.path === field)?.message ?? '';
  }

  clear(): void {
    this.value.set(this.start);
    this.problems.set([]);
    this.message.set('');
  }

  async submit(event?: Event): Promise<void> {
    event?.preventDefault();
    if (this.busy()) return;
    this.message.set('');
    const checked = this.check(this.value());
    this.problems.set(checked.ok ? [] : checked.problems);
    if (!checked.ok) return;
    this.busy.set(true);
    try {
      await this.send(this.value());
      this.clear();
    } catch (e) {
      this.tell(e);
    } finally {
      this.busy.set(false);
    }
  }

  private tell(e: unknown): void {
    if (e instanceof NoAnswer) return this.message.set(NO_ANSWER);
    if (!(e instanceof ApiProblem)) throw e;
    const { problems = [], title, detail } = e.details;
    this.problems.set(problems);
    if (!problems.some((p) => p.path in this.value())) this.message.set(problems[0]?.message ?? `${title} ${detail}`);
  }
}
