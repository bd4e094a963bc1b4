/** Servers that start and stop: a port opened, and closed when what runs has ended. */
import type { Server } from 'node:http';

/** Rejects with the port in the error where it is taken or not allowed. */
export function listen(server: Server, port: number, host: string): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
}

/** Takes no more connections, lets requests that run go on for `grace` ms at most, then cuts them off. */
export async function stopListening(server: Server, grace: number): Promise<void> {
  if (!server.listening) return;
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  // What answers from now on says that the connection ends with it; those that wait for a next request do not.
  const idle = setInterval(() => server.closeIdleConnections(), 50);
  const cut = setTimeout(() => server.closeAllConnections(), grace);
  server.closeIdleConnections();
  await closed;
  clearInterval(idle);
  clearTimeout(cut);
}
