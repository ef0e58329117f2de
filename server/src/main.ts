import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { heightsInThreads } from './heights.ts';
import { listenNear, stopped } from './listen.ts';

const DEFAULT_PORT = 4870;
const host = process.env.HOST || '127.0.0.1';
const port = process.env.PORT;
// An empty one is as good as none; one of blanks alone is a slip.
const wanted = port ? (port.trim() ? Number(port) : Number.NaN) : DEFAULT_PORT;

async function start(): Promise<void> {
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65535)
    throw new Error(`PORT should be a number from 0 to 65535, not "${port}".`);
  const heights = heightsInThreads(new URL('./elevationWorker.js', import.meta.url));
  const app = createApp(fileURLToPath(new URL('../../web/dist', import.meta.url)), heights);
  const { server, port: got } = await listenNear(app, host, wanted);
  if (wanted !== 0 && got !== wanted) console.log(`Port ${wanted} is taken, using ${got} instead.`);
  console.log(`Hosket is at http://${host.includes(':') ? `[${host}]` : host}:${got}/  (Ctrl+C stops it)`);
  let stopping = false;
  const stop = () => {
    if (stopping) return server.closeAllConnections();
    stopping = true;
    void stopped(server)
      .then(heights.stop)
      .finally(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

start().catch((error: Error) => {
  console.error(`Hosket cannot start: ${error.message}`);
  process.exit(1);
});
