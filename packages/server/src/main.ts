/** The program: reads its settings from the environment, serves until it is told to stop. */
import { seedDemo } from './demo/seed';
import { startServer } from './server';

const { env } = process;
const isDemo = env.YELLOW_LATCH_DEMO === '1';
/** Whoever reaches the server is in its one list: for the demo, and for trying things out. */
const isOpen = isDemo || env.YELLOW_LATCH_OPEN === '1';

try {
  const server = await startServer({
    data: env.YELLOW_LATCH_DATA ?? 'data/own',
    site: env.YELLOW_LATCH_SITE,
    host: env.YELLOW_LATCH_HOST ?? '127.0.0.1',
    port: Number(env.YELLOW_LATCH_PORT ?? 4170),
    publicUrl: publicUrl(),
    certificate: env.YELLOW_LATCH_CERT && env.YELLOW_LATCH_KEY ? { cert: env.YELLOW_LATCH_CERT, key: env.YELLOW_LATCH_KEY } : undefined,
    openList: isOpen ? (isDemo ? 'Corrie & Vale' : 'My list') : undefined,
    prepare: isDemo ? seedDemo : undefined,
  });
  console.log(`Yellow Latch is at ${server.address}`);
  if (env.YELLOW_LATCH_PUBLIC_URL) console.log(`Other devices reach it at ${env.YELLOW_LATCH_PUBLIC_URL}`);
  const stop = () => void server.close().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
} catch (error) {
  console.error(`Yellow Latch could not start: ${tellWhy(error as NodeJS.ErrnoException)}`);
  process.exit(1);
}

function publicUrl(): string | undefined {
  const url = env.YELLOW_LATCH_PUBLIC_URL;
  if (url === undefined) return undefined;
  if (!URL.canParse(url) || new URL(url).protocol !== 'https:' || new URL(url).pathname !== '/') {
    throw new Error(`--public-url must be an address such as https://list.example, not “${url}”`);
  }
  return new URL(url).origin;
}

function tellWhy({ code, message, path }: NodeJS.ErrnoException): string {
  const port = env.YELLOW_LATCH_PORT ?? 4170;
  if (code === 'EADDRINUSE') return `port ${port} is in use; set YELLOW_LATCH_PORT to another`;
  if (code === 'EACCES' && path === undefined) return `port ${port} may not be used; set YELLOW_LATCH_PORT to one above 1023`;
  if (code?.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN') return `its data folder cannot be written (${message}); YELLOW_LATCH_DATA chooses another`;
  if (code?.startsWith('SQLITE_BUSY')) return 'its data is locked by another program; is it running already?';
  return message;
}
