import { once } from 'node:events';
import { createServer, type Server, type Socket } from 'node:net';
import { WebSocketServer, type WebSocket } from 'ws';
import { GaugeDesk } from './gauge-desk';
import type { GaugeFile } from './gauge-file';

/** A running simulated gauge. */
export interface RunningGauge {
  readonly tcpPort: number;
  readonly webSocketPort: number;
  /** Cuts every line as a pulled plug would; the gauge goes on. */
  cutLines(): void;
  close(): Promise<void>;
}

const LOOPBACK = '127.0.0.1';
const MOST_BYTES = 4096;

/** Feeds lines of one connection to the desk and its answers back. */
function talk(desk: GaugeDesk, write: (line: string) => void): (text: string) => void {
  let session: string | null = null;
  let rest = '';
  desk.greeting().forEach(write);
  return (text) => {
    const lines = (rest + text).split(/\r?\n/);
    rest = lines.pop()!.slice(0, MOST_BYTES);
    for (const line of lines) {
      const answer = desk.answer(line, session);
      session = answer.session;
      answer.lines.forEach(write);
    }
  };
}

/** Serves the gauge on loopback by TCP and by WebSocket; port 0 takes any free one. */
export async function serveGauge(file: GaugeFile, ports: { readonly tcp: number; readonly webSocket: number }): Promise<RunningGauge> {
  const desk = new GaugeDesk(file);
  const sockets = new Set<Socket>();
  const tcp: Server = createServer((socket) => {
    sockets.add(socket.setEncoding('utf8'));
    const hear = talk(desk, (line) => socket.write(`${line}\r\n`));
    socket.on('data', (text) => hear(String(text)));
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
  }).listen(ports.tcp, LOOPBACK);
  const web = new WebSocketServer({ host: LOOPBACK, port: ports.webSocket, maxPayload: MOST_BYTES });
  web.on('connection', (socket: WebSocket) => {
    const hear = talk(desk, (line) => socket.send(line));
    // A message is one line, whether or not it ends in a line feed.
    socket.on('message', (data: Buffer) => hear(`${data.toString('utf8').replace(/\r?\n$/, '')}\n`));
    socket.on('error', () => socket.terminate());
  });
  await Promise.all([once(tcp, 'listening'), once(web, 'listening')]);
  const portOf = (address: ReturnType<Server['address']>): number => (typeof address === 'object' && address ? address.port : 0);
  const cutLines = (): void => {
    for (const s of sockets) s.destroy();
    for (const s of web.clients) s.terminate();
  };
  return {
    tcpPort: portOf(tcp.address()),
    webSocketPort: portOf(web.address()),
    cutLines,
    async close() {
      cutLines();
      await Promise.all([new Promise((done) => tcp.close(done)), new Promise((done) => web.close(done))]);
    },
  };
}
