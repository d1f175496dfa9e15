import type { Help, RunJob } from '@iron-patch/core/repair/order';
import { dayWords } from '@iron-patch/core/terms/calendar';
import type { MomentWords } from './order-words';

const ofTen = (chance: number): string => `${Math.round(10 * chance)} of 10`;

/** What would help a promise, in words that follow its job’s number. */
export function helpWords(help: Help, jobs: readonly RunJob[], words: MomentWords, nameOf: (id: string) => string): string {
  switch (help.kind) {
    case 'overtime':
      return `in time in ${ofTen(help.then)} if ${nameOf(help.personId)} works ${help.hoursADay} h longer each day until ${dayWords(help.until, 'weekday')}`;
    case 'ask':
      return `in time in ${ofTen(help.then)} if it had this now: ${help.what}. Ask when it comes`;
    case 'first': {
      const late = help.makesLate.map((id) => jobs.find((j) => j.id === id)?.number ?? '').join(', ');
      return `in time in ${ofTen(help.then)} before all others${late ? `; ${late} would not be safe then` : ', and no other promise suffers'}`;
    }
    case 'later':
      return `safe by ${words.day(help.end)}: ask for that day`;
  }
}
