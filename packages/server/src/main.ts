/** The program: reads its settings from the environment, serves until it is told to stop. */
import { seedDemo } from './demo/seed';
import { startServer } from './server';

const { env } = process;
const isDemo = env.YELLOW_LATCH_DEMO === '1';

try {
  const server = await startServer({
    data: env.YELLOW_LATCH_DATA ?? 'data/own',
    site: env.YELLOW_LATCH_SITE,
    host: env.YELLOW_LATCH_HOST ?? '127.0.0.1',
    port: Number(env.YELLOW_LATCH_PORT ?? 4170),
    listName: isDemo ? 'Corrie & Vale' : 'My list',
    prepare: isDemo ? seedDemo : undefined,
  });
  console.log(`Yellow Latch is at ${server.address}`);
  const stop = () => void server.close().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
} catch (error) {
  const { code, message } = error as NodeJS.ErrnoException;
  const why =
    code === 'EADDRINUSE'
      ? `port ${env.YELLOW_LATCH_PORT ?? 4170} is in use; set YELLOW_LATCH_PORT to another`
      : message;
  console.error(`Yellow Latch could not start: ${why}`);
  process.exit(1);
}
