import { FormArray, FormGroup, type AbstractControl, type ValidatorFn } from '@angular/forms';
import type { Outcome, Problem } from '@iron-patch/core';

/** Key of the problems among a control's errors; a field's own error, that it cannot be read, stands beside it. */
const PROBLEMS = 'problems';
export const UNREADABLE = 'unreadable';

/** Marks a control as one that must be filled in; it finds nothing wrong, the check does that. */
const REQUIRED: ValidatorFn = () => null;
export const markRequired = (control: AbstractControl): void => control.addValidators(REQUIRED);
export const isMarkedRequired = (control: AbstractControl): boolean => control.hasValidator(REQUIRED);

/** What is wrong with one control, a field's own word first. Paths are from the control: empty for itself. */
export function problemsOf(control: AbstractControl): readonly Problem[] {
  const own = control.errors?.[UNREADABLE] as string | undefined;
  if (own) return [{ code: UNREADABLE, path: '', message: own }];
  return (control.errors?.[PROBLEMS] as readonly Problem[] | undefined) ?? [];
}

/** The control that a path leads to, and what of the path is left where it goes on inside of one. */
function controlAt(root: AbstractControl, path: string): { readonly control: AbstractControl; readonly rest: string } {
  const steps = path.split('.');
  let control = root;
  while (steps.length && (control instanceof FormGroup || control instanceof FormArray)) {
    const next = control.get([steps[0]!]);
    if (!next) break;
    control = next;
    steps.shift();
  }
  return { control, rest: steps.join('.') };
}

const fieldsIn = (control: AbstractControl): AbstractControl[] =>
  control instanceof FormGroup || control instanceof FormArray
    ? Object.values(control.controls as Readonly<Record<string, AbstractControl>>).flatMap(fieldsIn)
    : [control];

/** Lays problems on one control, only where they are other ones, and leaves its other errors. */
function lay(control: AbstractControl, problems: readonly Problem[]): void {
  const { [PROBLEMS]: before, ...others } = control.errors ?? {};
  if (JSON.stringify(before ?? []) === JSON.stringify(problems)) return;
  const errors = problems.length ? { ...others, [PROBLEMS]: problems } : others;
  control.setErrors(Object.keys(errors).length ? errors : null);
}

/**
 * One validator for a whole form: checks its value as browser and server both do, and lays every problem on the control it is about.
 *
 * @param checkOf the check of the contract
 * @param refused what the server would not take of this very value
 */
export function problemValidator(checkOf: (value: unknown) => Outcome<unknown>, refused: () => readonly Problem[]): ValidatorFn {
  return (group) => {
    const checked = checkOf((group as FormGroup).getRawValue());
    const problems = [...(checked.ok ? [] : checked.problems), ...refused()];
    const laid = new Map<AbstractControl, Problem[]>();
    for (const p of problems) {
      const { control, rest } = controlAt(group, p.path);
      if (control !== group) laid.set(control, [...(laid.get(control) ?? []), { ...p, path: rest }]);
    }
    for (const field of fieldsIn(group)) lay(field, laid.get(field) ?? []);
    return problems.length ? { [PROBLEMS]: problems } : null;
  };
}

/** Fields that cannot be read, by path, in the order of the form. */
function unreadIn(group: FormGroup, path = ''): Problem[] {
  return Object.entries(group.controls).flatMap(([name, control]) => {
    if (control instanceof FormGroup) return unreadIn(control, `${path}${name}.`);
    const own = control.errors?.[UNREADABLE] as string | undefined;
    return own ? [{ code: UNREADABLE, path: path + name, message: own }] : [];
  });
}

/** What is wrong with a whole form, in the order of its fields, each with its path from the form. */
export function allProblems(group: FormGroup): readonly Problem[] {
  const whole = (group.errors?.[PROBLEMS] as readonly Problem[] | undefined) ?? [];
  const unread = unreadIn(group);
  const told = new Set(unread.map((p) => p.path));
  const names = Object.keys(group.controls);
  const order = (p: Problem): number => (names.indexOf(p.path.split('.')[0]!) + names.length + 1) % (names.length + 1);
  return [...unread, ...whole.filter((p) => !told.has(p.path))].sort((p, q) => order(p) - order(q));
}
