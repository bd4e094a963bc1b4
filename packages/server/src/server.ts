import { createServer, STATUS_CODES } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import type { Duplex } from 'node:stream';

import { isNull } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';

import { routeOf } from './api/description';
import { createApp } from './app';
import { BackupSchedule } from './backup/schedule';
import { readCertificate } from './certificate';
import { makeFolder, openDatabase, openReadOnly, type Database } from './database';
import { Presence } from './devices';
import { diskTrouble } from './disk';
import { Erasure } from './erasure';
import type { ServerState } from './health';
import { Housekeeping } from './housekeeping';
import { Intake } from './intake';
import { listen, stopListening } from './listening';
import { FolderLock } from './lock';
import { log } from './log';
import { Metrics } from './metrics';
import { Phones, type PhonesOptions, type WayIn } from './phones/phones';
import { observed } from './requests';
import { lists } from './schema';
import type { Settings } from './settings';
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
  /** Whether nobody may start a list here. */
  isInviteOnly?: boolean;
  /** What one list may take, in bytes. */
  listBytes?: number;
  /** A list that nobody has opened for so long is forgotten, in ms; undefined: none is. */
  forgetAfter?: number;
  /** Lets in phones on the same network; needs a port of its own and the next two. */
  phones?: Pick<PhonesOptions, 'name' | 'isNewAuthority' | 'addresses' | 'isAnnounced'>;
  backups?: Settings['backups'];
  /** Figures are served at this port of 127.0.0.1. */
  metricsPort?: number;
}

export interface RunningServer {
  address: string;
  /** Why it reads only and writes nothing, if that is so. */
  readOnly: string | null;
  /** How phones get in now; null: they are not let in, or this machine is on no network. */
  wayIn(): WayIn | null;
  /** Lets requests that run end, in five seconds at most. */
  close(): Promise<void>;
}

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];
/** How long requests that run are waited for when it stops, in ms. */
const GRACE = 5_000;

/**
 * Opens the database and listens. Where nothing can be written (a full disk, a folder of another's), it serves what is
 * there to read.
 */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const { now = Date.now, certificate, publicUrl, listBytes, site, isInviteOnly } = options;
  const { db, lock, readOnly } = openFolder(options.data);
  const over: (() => void | Promise<void>)[] = [() => lock?.release(), () => void db.$client.close()];
  const end = async () => {
    for (const step of over.splice(0).reverse()) await step();
  };
  try {
    const state: ServerState = { data: options.data, readOnly, isStopping: false };
    const openList =
      options.openList === undefined ? undefined : theList(db, options.openList, now(), readOnly !== null);
    if (openList !== undefined && readOnly === null) options.prepare?.(db, openList, now());
    const erasure = new Erasure(db);
    const streams = new Streams(db, erasure);
    const presence = new Presence(db);
    over.push(
      () => erasure.close(),
      () => presence.write(now()),
    );
    if (readOnly === null) {
      const housekeeping = new Housekeeping({ db, presence, erasure, now, forgetAfter: options.forgetAfter });
      housekeeping.start();
      over.push(() => housekeeping.stop());
    }
    if (options.backups) {
      const schedule = new BackupSchedule(options.data, options.backups, now);
      schedule.start();
      over.push(() => schedule.stop());
    }
    let phones: Phones | undefined;
    const metrics = options.metricsPort === undefined ? undefined : new Metrics(streams);
    const ownHosts = [...LOOPBACK, options.host, ...(publicUrl ? [new URL(publicUrl).hostname] : [])];
    const app = observed(
      createApp({
        db,
        streams,
        presence,
        intake: new Intake(db, erasure, listBytes),
        erasure,
        now,
        state,
        site,
        hosts: () => [...ownHosts, ...(phones?.hosts ?? [])],
        openList,
        publicUrl,
        wayIn: () => phones?.wayIn ?? null,
        isBehindProxy: publicUrl !== undefined && !certificate,
        isInviteOnly,
        isSecure: certificate !== undefined || options.phones !== undefined,
      }),
      routeOf,
      (answered) => {
        log().info(answered, 'answered');
        metrics?.count(answered);
      },
    );
    over.push(() => streams.close());
    const server = certificate
      ? createSecureServer(readCertificate(certificate, publicUrl, now()), app)
      : createServer(app);
    server.on('clientError', answerGarbage);
    await listen(server, options.port, options.host);
    const { port } = server.address() as AddressInfo;
    if (options.phones)
      phones = await Phones.open({
        ...options.phones,
        data: options.data,
        app,
        port: port === 0 ? 0 : port + 1,
        now,
      }).catch(async (error: unknown) => {
        await stopListening(server, 0);
        throw error;
      });
    over.push(async () => {
      state.isStopping = true;
      const closing = Promise.all([stopListening(server, GRACE), phones ? phones.close(GRACE) : Promise.resolve()]);
      streams.close();
      await closing;
    });
    if (metrics) {
      await metrics.listen(options.metricsPort!);
      over.push(() => metrics.close());
    }
    const address = `${certificate ? 'https' : 'http'}://${options.host}:${port}`;
    return { address, readOnly, wayIn: () => phones?.wayIn ?? null, close: end };
  } catch (error) {
    await end();
    throw error;
  }
}

interface OpenedFolder {
  db: Database;
  lock: FolderLock | null;
  readOnly: string | null;
}

/** The database of a folder for this server alone; or, where the disk does not let it write, to read. */
function openFolder(folder: string): OpenedFolder {
  let lock: FolderLock | null = null;
  try {
    makeFolder(folder);
    lock = FolderLock.acquire(folder);
    return { db: openDatabase(folder), lock, readOnly: null };
  } catch (error) {
    const trouble = diskTrouble(error);
    if (!trouble || trouble.slug === 'busy') {
      lock?.release();
      throw error;
    }
    try {
      return { db: openReadOnly(folder), lock, readOnly: trouble.title };
    } catch {
      lock?.release();
      throw error;
    }
  }
}

/** What Node's parser says of what is not HTTP, and what it is answered with. */
const NOT_HTTP: Readonly<Record<string, number>> = { HPE_HEADER_OVERFLOW: 431, ERR_HTTP_REQUEST_TIMEOUT: 408 };

/** What is not HTTP is answered as everything else that is wrong, and the line is cut. */
function answerGarbage(error: NodeJS.ErrnoException, socket: Duplex): void {
  if (error.code === 'ECONNRESET' || !socket.writable) return void socket.destroy();
  const status = NOT_HTTP[error.code ?? ''] ?? 400;
  const body = JSON.stringify({ type: '/problems/not-http', title: 'The request could not be read', status });
  socket.end(
    `HTTP/1.1 ${status} ${STATUS_CODES[status]}\r\nContent-Type: application/problem+json\r\nX-Content-Type-Options: nosniff\r\nContent-Length: ${Buffer.byteLength(body)}\r\nConnection: close\r\n\r\n${body}`,
  );
}

/** The id of the one list of an open server. */
function theList(db: Database, name: string, now: number, isReadOnly: boolean): string | undefined {
  const list = db.select().from(lists).where(isNull(lists.deletedAt)).limit(1).get();
  if (list) return list.id;
  if (isReadOnly) return undefined;
  const id = uuid();
  db.insert(lists).values({ id, name, createdAt: now }).run();
  return id;
}
