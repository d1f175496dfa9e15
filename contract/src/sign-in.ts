import { object, string, type StringSchema } from 'yup';
import { PASSWORD_LENGTH, PIN_LENGTH } from './session';
import { requiredText, TEXT_LIMITS } from './text';

/** A password as it is given: it is what it is, spaces and all. */
const givenPassword = (label: string): StringSchema<string> =>
  string()
    .strict()
    .typeError(`${label} is text.`)
    .required(`${label} is needed.`)
    .max(PASSWORD_LENGTH.most, `${label}: ${PASSWORD_LENGTH.most} characters at most.`);

/** A password that is chosen now. Whether it is easily guessed the server tells. */
const newPassword = (): StringSchema<string> =>
  givenPassword('Password').min(
    PASSWORD_LENGTH.least,
    `Password: ${PASSWORD_LENGTH.least} characters at least. Four words that do not belong together will do.`,
  );

const PIN = new RegExp(`^\\d{${PIN_LENGTH.least},${PIN_LENGTH.most}}$`);
/** The same digit over and over, or a run up or down: what is tried first. */
const tooPlain = (pin: string): boolean => {
  const steps = [...pin].slice(1).map((d, i) => Number(d) - Number(pin[i]));
  return new Set(steps).size === 1 && Math.abs(steps[0]!) <= 1;
};
const givenPin = (): StringSchema<string> =>
  string()
    .strict()
    .typeError('PIN is text.')
    .required('PIN is needed.')
    .matches(PIN, `PIN: ${PIN_LENGTH.least} to ${PIN_LENGTH.most} digits.`);
const personId = (): StringSchema<string> => requiredText('Person', TEXT_LIMITS.name);

export const signInInput = object({ name: requiredText('Name', TEXT_LIMITS.name), password: givenPassword('Password') });

export const pinSignInInput = object({ personId: personId(), pin: givenPin() });

/** The first account: of somebody whom the shop knows already, or of somebody new. */
export const firstAccountInput = object({ name: requiredText('Name', TEXT_LIMITS.name), password: newPassword() });

export const ownPasswordInput = object({ old: givenPassword('Password of now'), password: newPassword() });

export const ownPinInput = object({
  password: givenPassword('Password'),
  pin: givenPin().test('plain', 'PIN: not the same digit over and over, nor a run.', (v) => v === undefined || !tooPlain(v)),
});

/** What the owner gives somebody to begin with: it has to be changed at the first sign-in. */
export const givenPasswordInput = object({ password: newPassword() });
