import type { Access } from '@iron-patch/core/terms/access';

/** How people say who they are: by a password and a PIN, or, in a demo on its own machine, by picking a name. */
export type SignInWay = 'password' | 'pick';

/** `first`: nobody has an account yet; `out`: nobody is signed in on this screen's device; `locked`: somebody is, and has to say so again. */
export type SessionState = 'first' | 'out' | 'locked' | 'in';

/** Somebody who signed in on this device before. */
export interface PersonHere {
  readonly id: string;
  readonly name: string;
  /** True where a PIN will do; the password is asked otherwise. */
  readonly pin: boolean;
}

/** Who is at this device, as the server has it. */
export interface SessionResource {
  readonly way: SignInWay;
  readonly state: SessionState;
  /** Who is at the bench; null while nobody is. */
  readonly personId: string | null;
  /** The password was given by another, and has to be changed first. */
  readonly borrowed: boolean;
  readonly here: readonly PersonHere[];
  /** Without a key or a touch for so long the screen locks, minutes; 0 for never. */
  readonly lockAfterMin: number;
  /** Where nobody has an account yet: whether it can be made from here, and the people that the shop knows already. */
  readonly first: { readonly here: boolean; readonly people: readonly { readonly id: string; readonly name: string }[] } | null;
}

/** What the owner sees of somebody's account. */
export interface AccountRow {
  readonly personId: string;
  readonly access: Access;
  readonly password: 'none' | 'borrowed' | 'own';
  readonly pin: boolean;
  /** Devices on which they are signed in, and when one of them was last used; null for never. */
  readonly devices: number;
  readonly seenAt: string | null;
}

/** One thing that somebody did. */
export interface AuditRow {
  readonly seq: number;
  readonly at: string;
  /** Empty where nobody was known. */
  readonly personId: string;
  readonly method: string;
  readonly path: string;
  /** Of what was done on a job; null for all else. */
  readonly jobNumber: number | null;
  readonly status: number;
  /** What was sent, where no record of its own keeps it. */
  readonly sent: unknown;
}

export interface AuditPage {
  readonly rows: readonly AuditRow[];
  /** The `before` of the next page; null where this is the last. */
  readonly next: number | null;
}

/** The shortest and the longest password, characters (NIST SP 800-63B, OWASP ASVS 2.1.1 and 2.1.2); PINs are digits. */
export const PASSWORD_LENGTH = { least: 12, most: 128 } as const;
export const PIN_LENGTH = { least: 4, most: 8 } as const;
/** So many rows of what was done are told at once. */
export const AUDIT_PAGE = 100;
