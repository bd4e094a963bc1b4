import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';

import { v7 as uuid } from 'uuid';

import { createApp } from './app';
import { compact } from './compaction';
import { openDatabase, type Database } from './database';
import { Presence } from './devices';
import { Intake } from './ledger';
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
  /** The address at which other devices reach it: through a proxy on this machine, or by its own certificate. */
  publicUrl?: string;
  /** Files of its own certificate and key, PEM. */
  certificate?: { cert: string; key: string };
  /** With a name, one list takes in every browser that reaches the server; without, lists are begun and joined. */
  openList?: string;
  now?: () => number;
  /** Called with the open list before the server listens. */
  prepare?: (db: Database, listId: string, now: number) => void;
}

export interface RunningServer {
  address: string;
  close(): Promise<void>;
}

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

const DAY = 24 * 60 * 60_000;

/** Opens the database, lets go of what is too old, and listens. */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const { now = Date.now, certificate, publicUrl } = options;
  const db = openDatabase(options.data);
  const openList = options.openList === undefined ? undefined : theList(db, options.openList, now());
  if (openList !== undefined) options.prepare?.(db, openList, now());
  compact(db, now());
  const compacting = setInterval(() => compact(db, now()), DAY).unref();
  const streams = new Streams(db);
  const presence = new Presence(db);
  const intake = new Intake(db);
  const hosts = [...LOOPBACK, options.host, ...(publicUrl ? [new URL(publicUrl).hostname] : [])];
  const isBehindProxy = publicUrl !== undefined && !certificate;
  const app = createApp({ db, streams, presence, intake, now, site: options.site, hosts, openList, publicUrl, isBehindProxy });
  const server = certificate
    ? createSecureServer({ cert: readFileSync(certificate.cert), key: readFileSync(certificate.key) }, app)
    : createServer(app);
  try {
    await listen(server, options.port, options.host);
  } catch (error) {
    clearInterval(compacting);
    db.$client.close();
    throw error;
  }
  const { port } = server.address() as AddressInfo;
  return {
    address: `${certificate ? 'https' : 'http'}://${options.host}:${port}`,
    async close() {
      clearInterval(compacting);
      streams.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      });
      presence.write(now());
      db.$client.close();
    },
  };
}

/** The id of the one list of an open server. */
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
