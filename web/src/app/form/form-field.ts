import { computed, DestroyRef, Directive, inject, input, signal, type AfterContentInit } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NgControl, type AbstractControl, type ControlValueAccessor, type ValidatorFn } from '@angular/forms';
import type { Problem } from '@iron-patch/core';
import { isMarkedRequired, problemsOf } from './problem-validator';

let counter = 0;

/**
 * What every field of a form has: a label, its control, and what is wrong with it below. It is a form control (`formControlName`), or is
 * given its value, path and problems by a parent that holds them itself.
 */
@Directive()
export abstract class FormField<T> implements ControlValueAccessor, AfterContentInit {
  readonly id = `field-${++counter}`;
  readonly label = input('');
  readonly name = input('');
  /** Where the problems of a field lie that no form holds. */
  readonly path = input('');
  readonly problems = input<readonly Problem[]>([]);
  private readonly ngControl = inject(NgControl, { optional: true, self: true });
  private readonly ended = inject(DestroyRef);
  /** Counts what happened to the control: its state is no signal of its own. */
  private readonly happened = signal(0);
  private readonly written = signal<T | undefined>(undefined);
  private changed: (value: T) => void = () => undefined;
  private touched: () => void = () => undefined;

  /** What is wrong with the field itself, or with something in it; the first is told. */
  protected readonly told = computed<readonly Problem[]>(() => {
    this.happened();
    const control = this.ngControl?.control;
    if (control) return control.touched ? problemsOf(control) : [];
    return this.problems().filter((p) => p.path === this.path());
  });
  readonly problem = computed(() => this.told()[0]?.message ?? '');
  readonly bad = computed(() => (this.problem() ? 'true' : null));
  readonly required = computed(() => {
    this.happened();
    return this.control ? isMarkedRequired(this.control) : false;
  });
  /** Path of the field, by which a list of problems finds it. */
  readonly where = computed(() => {
    this.happened();
    return this.ngControl?.path?.join('.') ?? this.path();
  });

  constructor() {
    if (this.ngControl) this.ngControl.valueAccessor = this;
  }

  /** Only here the form's own directive on the same element has found its control. */
  ngAfterContentInit(): void {
    this.control?.events.pipe(takeUntilDestroyed(this.ended)).subscribe(() => this.happened.update((n) => n + 1));
    this.happened.update((n) => n + 1);
  }

  writeValue(value: T): void {
    this.written.set(value);
  }

  registerOnChange(changed: (value: T) => void): void {
    this.changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  protected get control(): AbstractControl<T> | null {
    return (this.ngControl?.control as AbstractControl<T> | null | undefined) ?? null;
  }

  /** What a form holds of it; undefined where none does. */
  protected held(): T | undefined {
    return this.written();
  }

  protected inForm(): boolean {
    return this.ngControl !== null;
  }

  /** Hands a value to the form. */
  protected hand(value: T): void {
    this.written.set(value);
    this.changed(value);
  }

  /** The field is left. One that was only passed on the way has nothing wrong with it yet. */
  protected leave(): void {
    if (!this.control?.dirty) return;
    this.touched();
    this.happened.update((n) => n + 1);
  }

  /** A rule of the field's own, such as that what was typed can be read. */
  protected own(rule: ValidatorFn): void {
    this.control?.addValidators(rule);
  }

  protected lookAgain(): void {
    this.control?.updateValueAndValidity();
  }
}
