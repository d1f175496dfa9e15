import { computed, effect, signal, untracked, type Signal, type WritableSignal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup } from '@angular/forms';
import type { Outcome, Problem } from '@iron-patch/core';
import { map } from 'rxjs';
import { ApiProblem, keptDraft, NO_ANSWER, NoAnswer, type KeptDraft } from '../data';
import { allProblems, markRequired, problemValidator } from './problem-validator';

/** A control for each field; where a field is an object of fields of its own, a group. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Group = FormGroup<any>;

/** The group of a value: objects named in `groups` become groups of their own, everything else one control. */
function groupOf(value: object, groups: readonly string[], path = ''): Group {
  const made = Object.entries(value).map(([name, v]) => {
    const at = path + name;
    return [
      name,
      groups.includes(at) ? groupOf(v as object, groups, `${at}.`) : new FormControl<unknown>(v, { nonNullable: true }),
    ] as const;
  });
  return new FormGroup(Object.fromEntries<FormControl | Group>(made));
}

/** Paths of all single fields. */
const fieldsOf = (group: Group, path = ''): string[] =>
  Object.entries(group.controls).flatMap(([name, c]) => (c instanceof FormGroup ? fieldsOf(c, `${path}${name}.`) : [path + name]));

/** The same value with another at a path. */
function withAt(value: unknown, path: readonly string[], to: unknown): unknown {
  const [first, ...rest] = path;
  if (first === undefined) return to;
  return { ...(value as object), [first]: withAt((value as Record<string, unknown>)[first], rest, to) };
}

export interface FormTerms<V extends object> {
  /** Which record the form is of: what was typed comes back to it. */
  readonly keptAs: () => string;
  /** What the fields hold before anybody typed. */
  readonly start: V;
  /** The check that browser and server share. */
  readonly check: (value: V) => Outcome<unknown>;
  /** Stores it; a `null` or `false` says that somebody was asked first, and the form stays. */
  readonly save: (value: V) => Promise<unknown>;
  /** The form is done with: stored, or nothing of it is wanted. */
  readonly close?: () => void;
  /** What a save rests on, kept with what was typed: the version that was opened, the key of a new record. */
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly rests?: Readonly<Record<string, WritableSignal<any>>>;
  /** Somebody else stored it meanwhile: takes up what is stored now and tells what saving again does. */
  readonly theirs?: (current: unknown) => string;
  /** Paths of fields that are objects of fields of their own, outer ones first: `lathe`, `lathe.cross`. */
  readonly groups?: readonly string[];
  /** What the fields hold while nobody typed, where that moves on by itself. */
  readonly untouched?: () => V;
  /** What the fields of a form that stays hold for the next record, once one was stored. */
  readonly next?: (saved: V) => V;
}

const NOTHING: readonly Problem[] = [];

/** What an emptied field of that kind holds. */
const emptied = (value: unknown): unknown => (typeof value === 'string' ? '' : null);

/**
 * A form over one record: its fields, what is wrong with them, the draft that is kept, and its save. A refusal of the server lands on its
 * field and goes as soon as that field is changed. To be made where a component makes its fields.
 */
export class RecordForm<V extends object> {
  readonly group: Group;
  readonly value: Signal<V>;
  readonly kept: KeptDraft;
  readonly busy = signal(false);
  /** What could not be told at a field. */
  readonly message = signal('');
  /** Counts presses of save that found something wrong. */
  readonly refusals = signal(0);
  private readonly told: Signal<readonly Problem[]>;
  private refused: readonly { readonly problem: Problem; readonly of: string }[] = [];

  constructor(readonly terms: FormTerms<V>) {
    this.group = groupOf(terms.start, terms.groups ?? []);
    for (const path of fieldsOf(this.group)) if (this.mustHave(path)) markRequired(this.group.get(path)!);
    this.group.addValidators(
      problemValidator(
        (v) => terms.check(v as V),
        () => this.stillRefused(),
      ),
    );
    this.group.updateValueAndValidity();
    const value = toSignal(this.group.valueChanges.pipe(map(() => this.group.getRawValue() as V)), {
      initialValue: this.group.getRawValue() as V,
    });
    this.value = value;
    const events = toSignal(this.group.events);
    this.told = computed(() => {
      events();
      return allProblems(this.group);
    });
    const fields = Object.assign(() => value(), { set: (v: V) => this.group.patchValue(v as never) });
    const { untouched, rests } = terms;
    // Before the draft looks: what nobody typed over follows what is stored.
    if (untouched)
      effect(() => {
        const clean = untouched();
        untracked(() => !this.kept.typed() && this.open(clean));
      });
    this.kept = keptDraft(
      terms.keptAs,
      { value: fields },
      { ...(untouched ? { untouched: () => ({ value: untouched() }) } : {}), ...(rests ? { rests } : {}) },
    );
  }

  /** Everything that is wrong, once a save was tried. */
  problems(): readonly Problem[] {
    return this.refusals() ? this.told() : NOTHING;
  }

  /** Starts from a record, nothing of it typed. */
  open(value: V): void {
    this.refused = [];
    this.refusals.set(0);
    this.message.set('');
    this.group.reset(value);
  }

  set(change: Partial<V>): void {
    this.group.patchValue(change);
  }

  /** Lays what the server said of the fields on them, the rest above the form. */
  refuse(problems: readonly Problem[], message: string): void {
    this.refused = problems.map((problem) => ({ problem, of: this.heldAt(problem) }));
    this.group.markAllAsTouched();
    this.group.updateValueAndValidity();
    this.refusals.update((n) => n + 1);
    this.message.set(problems.some((p) => this.hasField(p)) ? '' : message);
  }

  async submit(): Promise<void> {
    if (this.busy()) return;
    this.message.set('');
    this.group.markAllAsTouched();
    if (this.group.invalid) return this.refusals.update((n) => n + 1);
    this.busy.set(true);
    const value = this.value();
    try {
      if (!(await this.terms.save(value))) return;
      this.refusals.set(0);
      if (this.terms.next) this.open(this.terms.next(value));
      this.kept.done();
      this.terms.close?.();
    } catch (e) {
      this.tell(e);
    } finally {
      this.busy.set(false);
    }
  }

  throwAway(): void {
    this.kept.throwAway();
    this.refusals.set(0);
    this.message.set('');
    this.group.markAsPristine();
    this.group.markAsUntouched();
    this.terms.close?.();
  }

  private tell(e: unknown): void {
    if (e instanceof NoAnswer) return this.message.set(NO_ANSWER);
    if (!(e instanceof ApiProblem)) throw e;
    const { status, problems, title, detail, current } = e.details;
    if (status === 412 && this.terms.theirs) this.message.set(this.terms.theirs(current));
    else this.refuse(problems ?? [], `${title} ${detail}`);
  }

  /** True where the check asks for the field when it is empty. */
  private mustHave(path: string): boolean {
    const value: unknown = this.group.get(path)!.value;
    if (Array.isArray(value) || typeof value === 'boolean') return false;
    const checked = this.terms.check(withAt(this.terms.start, path.split('.'), emptied(value)) as V);
    return !checked.ok && checked.problems.some((p) => p.path === path);
  }

  private hasField({ path }: Problem): boolean {
    return this.group.get([path.split('.')[0]!]) !== null;
  }

  private heldAt({ path }: Problem): string {
    return JSON.stringify(this.group.get([path.split('.')[0]!])?.value ?? null);
  }

  private stillRefused(): readonly Problem[] {
    this.refused = this.refused.filter(({ problem, of }) => this.hasField(problem) && this.heldAt(problem) === of);
    return this.refused.map((r) => r.problem);
  }
}
