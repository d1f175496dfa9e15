import { readGaugeFile } from './gauge-file';
import { serveGauge } from './serve-gauge';

const [path, webSocket, tcp] = process.argv.slice(2);
try {
  const file = await readGaugeFile(path!);
  const gauge = await serveGauge(file, { webSocket: Number(webSocket), tcp: Number(tcp) });
  process.stdout.write(
    `The simulated gauge measures ${file.part.name}: ws://127.0.0.1:${gauge.webSocketPort} and TCP port ${gauge.tcpPort}.\n`,
  );
  const stop = (): void => void gauge.close().then(() => process.exit(0));
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
} catch (e) {
  process.stderr.write(`${(e as Error).message}\n`);
  process.exit(1);
}
