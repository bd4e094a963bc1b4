/** The program: reads its settings from the environment, serves until it is told to stop. */
import { seedDemo } from './demo/seed';
import { startServer } from './server';
import { readSettings } from './settings';

try {
  const { isDemo, isOpen, ...settings } = readSettings(process.env);
  const name = isDemo ? 'Corrie & Vale' : 'My list';
  const server = await startServer({
    ...settings,
    openList: isOpen ? name : undefined,
    prepare: isDemo ? seedDemo : undefined,
  });
  if (server.readOnly)
    console.error(`Nothing can be saved: ${server.readOnly}. The list can be read. Make room, then start again.`);
  console.log(`Yellow Latch is at ${server.address}`);
  if (isDemo) console.log(`Try its list on a stand-in phone: ${server.address}/stand-in/phone`);
  if (settings.publicUrl) console.log(`Other devices reach it at ${settings.publicUrl}`);
  const stop = () => void server.close().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
} catch (error) {
  console.error(`Yellow Latch could not start: ${tellWhy(error as NodeJS.ErrnoException)}`);
  process.exit(1);
}

function tellWhy({ code, message, path }: NodeJS.ErrnoException): string {
  const port = process.env.YELLOW_LATCH_PORT ?? 4170;
  if (code === 'EADDRINUSE') return `port ${port} is in use; set YELLOW_LATCH_PORT to another`;
  if (code === 'EACCES' && path === undefined)
    return `port ${port} may not be used; set YELLOW_LATCH_PORT to one above 1023`;
  if (code?.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN')
    return `its data folder cannot be written (${message}); YELLOW_LATCH_DATA chooses another`;
  if (code?.startsWith('SQLITE_BUSY')) return 'its data is locked by another program; is it running already?';
  return message;
}
