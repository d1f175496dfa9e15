import { normalDraws, seededRandom } from '@iron-patch/core/evidence/proof';
import { displayed, takeSimulated } from '@iron-patch/core/evidence/simulated';
import type { GaugeFile } from './gauge-file';

/** A reading that was sent with the button and not yet acknowledged. */
interface Sent {
  readonly number: number;
  readonly text: string;
}

/** What a screen has at the bench: kept by its session's name, so that a lost line loses and doubles nothing. */
interface Session {
  instrument: GaugeFile['instruments'][number];
  stationMm: number;
  clockDeg: number;
  last: number;
  waiting: Sent[];
}

/** Sessions that are remembered; the oldest is forgotten first. */
const MOST_SESSIONS = 50;
const LONGEST_LINE = 200;

/**
 * The simulated bench: speaks the line protocol of docs/gauge-protocol.md over whatever carries its lines. One line in gives any
 * number of lines out.
 */
export class GaugeDesk {
  private readonly normal: () => number;
  private readonly sessions = new Map<string, Session>();

  constructor(private readonly file: GaugeFile) {
    this.normal = normalDraws(seededRandom(file.seed));
  }

  /** What is said as soon as somebody connects. */
  greeting(): string[] {
    return ['HELLO iron-patch-gauge 1'];
  }

  /** Answers a line; `name` is the session that the line's connection has chosen, if any. */
  answer(line: string, name: string | null): { readonly lines: string[]; readonly session: string | null } {
    const said = (lines: string[]): { lines: string[]; session: string | null } => ({ lines, session: name });
    const [word, ...rest] = line.slice(0, LONGEST_LINE).trim().split(/\s+/);
    const command = (word ?? '').toUpperCase();
    if (command === 'SESSION') return this.open(rest[0] ?? '');
    const session = name === null ? undefined : this.sessions.get(name);
    if (!session) return said(['! Say SESSION and a name first']);
    if (command === 'LIST') return said([...this.file.instruments.map((i) => `I ${i.id} ${i.unit} ${i.name}`), '.']);
    if (command === 'USE') return said(this.use(session, rest[0] ?? ''));
    if (command === 'AT') return said(this.at(session, rest));
    if (command === 'LIVE') return said([this.live(session)]);
    if (command === 'SEND') return said(this.send(session));
    if (command === 'OK') return said(this.acknowledge(session, rest[0] ?? ''));
    return said([`! ${command || 'An empty line'} is not known here`]);
  }

  private open(name: string): { readonly lines: string[]; readonly session: string | null } {
    if (!/^[\w-]{1,60}$/.test(name)) return { lines: ['! A session is named by letters, digits and dashes'], session: null };
    const known = this.sessions.get(name);
    if (known) return { lines: [`SESSION ${name} ${known.last}`, ...known.waiting.map(lineOf)], session: name };
    if (this.sessions.size >= MOST_SESSIONS) this.sessions.delete(this.sessions.keys().next().value!);
    this.sessions.set(name, { instrument: this.file.instruments[0]!, stationMm: 0, clockDeg: 0, last: 0, waiting: [] });
    return { lines: [`SESSION ${name} 0`], session: name };
  }

  private use(session: Session, id: string): string[] {
    const instrument = this.file.instruments.find((i) => i.id === id);
    if (!instrument) return [`! There is no instrument ${id} on this bench`];
    session.instrument = instrument;
    return [`USE ${id}`];
  }

  private at(session: Session, [station, clock]: readonly string[]): string[] {
    const [stationMm, clockDeg] = [Number(station), Number(clock)];
    if (!Number.isFinite(stationMm) || !Number.isFinite(clockDeg)) return ['! AT needs a station in mm and a clock angle in degrees'];
    Object.assign(session, { stationMm, clockDeg });
    return [`AT ${stationMm} ${clockDeg}`];
  }

  /** What the display shows now; hands and parts never hold quite still. */
  private live(session: Session): string {
    const text = this.read(session);
    return text === null ? '~ ---' : `~ ${text}`;
  }

  private send(session: Session): string[] {
    const text = this.read(session);
    if (text === null) return ['! It touches nothing there'];
    const sent = { number: ++session.last, text };
    session.waiting.push(sent);
    return [lineOf(sent)];
  }

  private acknowledge(session: Session, number: string): string[] {
    session.waiting = session.waiting.filter((s) => String(s.number) !== number);
    return [];
  }

  private read(session: Session): string | null {
    const { part, partC, instrumentC } = this.file;
    const { instrument, stationMm, clockDeg } = session;
    const mm = takeSimulated(part, instrument, { stationMm, clockDeg, partC, instrumentC }, this.normal);
    return mm === null ? null : `${displayed(mm, instrument)} ${instrument.unit}`;
  }
}

const lineOf = (s: Sent): string => `= ${s.number} ${s.text}`;
