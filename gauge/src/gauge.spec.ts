import { createConnection } from 'node:net';
import { once } from 'node:events';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WebSocket } from 'ws';
import { GaugeDesk } from './gauge-desk';
import { readGaugeFile, type GaugeFile } from './gauge-file';
import { serveGauge, type RunningGauge } from './serve-gauge';

const DEMO = join(__dirname, '../../demo/data/gauge/worn-bearing-housing.json');
let file: GaugeFile;
beforeAll(async () => {
  file = await readGaugeFile(DEMO);
});

/** A desk with a session open, and a way to say one line. */
const sit = (more: Partial<GaugeFile> = {}): ((line: string) => string[]) => {
  const desk = new GaugeDesk({ ...file, ...more });
  desk.answer('SESSION a', null);
  return (line) => desk.answer(line, 'a').lines;
};

describe('the line protocol', () => {
  it('lists the instruments of the bench', () => {
    const lines = sit()('LIST');
    expect(lines.at(-1)).toBe('.');
    expect(lines[0]).toMatch(/^I [\w-]+ (mm|in) .+$/);
    expect(lines).toHaveLength(file.instruments.length + 1);
  });

  it('sends numbered readings in the instrument’s own unit and digits', () => {
    const say = sit();
    say('USE tele');
    say('AT 20 90');
    expect(say('SEND')[0]).toMatch(/^= 1 \d+\.\d{3} mm$/);
    expect(say('SEND')[0]).toMatch(/^= 2 /);
    expect(say('LIVE')[0]).toMatch(/^~ \d+\.\d{3} mm$/);
  });

  it.each([
    ['USE nothing', '! There is no instrument nothing on this bench'],
    ['AT here 4', '! AT needs a station in mm and a clock angle in degrees'],
    ['DANCE', '! DANCE is not known here'],
    ['', '! An empty line is not known here'],
  ])('says what is wrong with "%s"', (line, answer) => expect(sit()(line)).toEqual([answer]));

  it('says when it touches nothing, and asks for a session first', () => {
    const say = sit();
    say('AT 9999 0');
    expect(say('SEND')).toEqual(['! It touches nothing there']);
    expect(say('LIVE')).toEqual(['~ ---']);
    const desk = new GaugeDesk(file);
    expect(desk.answer('SEND', null).lines).toEqual(['! Say SESSION and a name first']);
    expect(desk.answer('SESSION a b?', null).session).toBe('a');
    expect(desk.answer('SESSION ä', null).session).toBeNull();
  });

  it('repeats after a new start what was not acknowledged, with the same number, and nothing else', () => {
    const desk = new GaugeDesk(file);
    desk.answer('SESSION a', null);
    desk.answer('AT 20 0', 'a');
    const [first] = desk.answer('SEND', 'a').lines;
    const [second] = desk.answer('SEND', 'a').lines;
    desk.answer('OK 1', 'a');
    expect(desk.answer('SESSION a', null).lines).toEqual(['SESSION a 2', second]);
    expect(first).toContain('= 1 ');
    desk.answer('OK 2', 'a');
    expect(desk.answer('SESSION a', null).lines).toEqual(['SESSION a 2']);
  });

  it('says how far its count has come, so that a gauge that starts anew is known for one', () => {
    expect(new GaugeDesk(file).answer('SESSION a', null).lines).toEqual(['SESSION a 0']);
  });

  it('measures the same for the same seed, and what the part is within the instrument’s faults', () => {
    const readings = (seed: number): string[] => {
      const say = sit({ seed });
      say('USE tele');
      return [0, 45, 90, 135].map((clock) => {
        say(`AT 10 ${clock}`);
        return say('SEND')[0]!;
      });
    };
    expect(readings(7)).toEqual(readings(7));
    expect(readings(7)).not.toEqual(readings(8));
    const size = file.part.stretches.find((s) => s.side === 'inside')!.diameterMm;
    for (const line of readings(7)) expect(Math.abs(Number(line.split(' ')[2]) - size)).toBeLessThan(0.3);
  });
});

describe('over the line', () => {
  let gauge: RunningGauge;
  beforeAll(async () => {
    gauge = await serveGauge(file, { tcp: 0, webSocket: 0 });
  });
  afterAll(() => gauge.close());

  it('speaks by TCP, in whatever pieces the lines come', async () => {
    const socket = createConnection(gauge.tcpPort, '127.0.0.1').setEncoding('utf8');
    let heard = '';
    socket.on('data', (d) => (heard += String(d)));
    await once(socket, 'connect');
    for (const piece of ['SESS', 'ION tcp\r\nAT 1', '0 0\r\nSEND\r\n']) socket.write(piece);
    for (let i = 0; i < 100 && !heard.includes('= 1 '); i++) await new Promise((r) => setTimeout(r, 10));
    expect(heard).toMatch(/^HELLO iron-patch-gauge 1\r\nSESSION tcp 0\r\nAT 10 0\r\n= 1 .* mm\r\n$/);
    socket.destroy();
  });

  it('speaks by WebSocket a line a message, and after a pulled plug goes on where it was', async () => {
    const dial = async (): Promise<{ say: (line: string) => void; heard: string[]; socket: WebSocket }> => {
      const socket = new WebSocket(`ws://127.0.0.1:${gauge.webSocketPort}`);
      const heard: string[] = [];
      socket.on('message', (d: Buffer) => heard.push(d.toString()));
      await once(socket, 'open');
      return { say: (line) => socket.send(line), heard, socket };
    };
    const until = async (heard: string[], text: string): Promise<void> => {
      for (let i = 0; i < 100 && !heard.some((h) => h.includes(text)); i++) await new Promise((r) => setTimeout(r, 10));
      expect(heard.join()).toContain(text);
    };
    const first = await dial();
    ['SESSION web', 'AT 10 0', 'SEND'].forEach(first.say);
    await until(first.heard, '= 1 ');
    gauge.cutLines();
    await once(first.socket, 'close');
    const second = await dial();
    second.say('SESSION web');
    await until(second.heard, '= 1 ');
    expect(second.heard.find((h) => h.startsWith('= 1'))).toBe(first.heard.find((h) => h.startsWith('= 1')));
    second.socket.close();
  });
});

it('says which file cannot be read, and what it lacks', async () => {
  const directory = await mkdtemp(join(tmpdir(), 'gauge-'));
  const bad = join(directory, 'bad.json');
  await expect(readGaugeFile(bad)).rejects.toThrow('cannot be read');
  await writeFile(bad, '{"part": {"stretches": []}}');
  await expect(readGaugeFile(bad)).rejects.toThrow('holds no part');
  await writeFile(bad, JSON.stringify({ part: file.part }));
  await expect(readGaugeFile(bad)).rejects.toThrow('holds no instruments');
});
