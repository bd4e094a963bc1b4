import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

import { v7 as uuid } from 'uuid';

import { createApp } from './app';
import { openDatabase, type Database } from './database';
import { lists } from './schema';
import { Streams } from './stream';

export interface ServerOptions {
  /** The folder of the database. */
  data: string;
  /** The folder of the exported app, if it is to be served. */
  site?: string;
  host: string;
  /** 0: any free port. */
  port: number;
  listName?: string;
  now?: () => number;
  /** Called with the database before the server listens. */
  prepare?: (db: Database, listId: string, now: number) => void;
}

export interface RunningServer {
  address: string;
  close(): Promise<void>;
}

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Opens the database, makes its list where there is none, and listens. */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const now = options.now ?? Date.now;
  const db = openDatabase(options.data);
  const listId = theList(db, options.listName ?? 'My list', now());
  options.prepare?.(db, listId, now());
  const streams = new Streams(db);
  const hosts = [...LOOPBACK, options.host];
  const server = createServer(createApp({ db, streams, now, site: options.site, hosts }));
  await listen(server, options.port, options.host);
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://${options.host}:${port}`,
    async close() {
      streams.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      });
      db.$client.close();
    },
  };
}

/** The id of the one list that this server keeps. */
function theList(db: Database, name: string, now: number): string {
  const list = db.select().from(lists).limit(1).get();
  if (list) return list.id;
  const id = uuid();
  db.insert(lists).values({ id, name, createdAt: now }).run();
  return id;
}

function listen(server: Server, port: number, host: string): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
}
