import { string, type StringSchema } from 'yup';

/** Thirty-two random bytes of the page that makes a link, as base64 without fill: nobody guesses it, and the server keeps only its digest. */
const TOKEN = /^[A-Za-z0-9_-]{43}$/;
export const isToken = (text: string): boolean => TOKEN.test(text);
export const tokenOf = (): StringSchema<string> =>
  string().strict().typeError('The link is text.').required('The link is missing.').matches(TOKEN, 'The link is not one.');
