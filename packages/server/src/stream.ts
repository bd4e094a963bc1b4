import type { Request, Response } from 'express';

import type { Database } from './database';
import { deviceNow, subscribedSetsOf, type Device } from './devices';
import { logFailure } from './log';
import type { Erasure } from './erasure';
import { pageFor, readRecords, type Read } from './reading';

const HEARTBEAT = 15_000;
const PAGE = 500;
/** A browser has one stream; more of one device are lines that were lost and not yet missed. */
const MOST_OF_ONE_DEVICE = 3;

interface Stream {
  device: Pick<Device, 'id' | 'listId'>;
  response: Response;
  /** Sends what the device lacks; `evenIfNone`, a page also when that is nothing. */
  send(evenIfNone?: boolean): void;
  end(): void;
}

/** Where a stream begins: the number up to which the device has the list, and the change that it knows under it. */
export interface Position {
  since: number;
  last?: string;
  /** The version of the model that the device knows. */
  model: number;
}

/** A position as the id of an event, and read from one. */
export function positionOf({ through, last }: Pick<Read, 'through' | 'last'>): string {
  return last === null ? String(through) : `${through}/${last}`;
}

/** The open event streams: told when a list has changed, each sends what its device lacks. */
export class Streams {
  private readonly ofLists = new Groups();
  private readonly ofDevices = new Groups();
  /** What was read last, since most streams of a list have come equally far. */
  private lastRead: { of: string; read: Read } | null = null;

  constructor(
    private readonly db: Database,
    private readonly erasure: Erasure | null = null,
  ) {
    erasure?.onDone((device) => this.tell(device));
  }

  announce(listId: string): void {
    this.lastRead = null;
    for (const stream of this.ofLists.get(listId)) stream.send();
    this.lastRead = null;
  }

  /** Tells a device what has changed about itself. */
  tell(deviceId: string): void {
    for (const stream of this.ofDevices.get(deviceId)) stream.send(true);
  }

  /** Tells all devices of a list that its devices are not as they were. */
  announceDevices(listId: string): void {
    for (const { response } of this.ofLists.get(listId)) response.write('event: devices\ndata: 1\n\n');
  }

  isOpen(deviceId: string): boolean {
    return this.ofDevices.get(deviceId).size > 0;
  }

  /** Closes the streams of a device that may not have them any more. */
  end(deviceId: string): void {
    for (const stream of [...this.ofDevices.get(deviceId)]) this.hangUp(stream);
  }

  /** Closes all streams of a list. */
  endList(listId: string): void {
    for (const stream of [...this.ofLists.get(listId)]) this.hangUp(stream);
  }

  /**
   * Keeps `response` open as server-sent events (WHATWG HTML, section 9.2). Every event is a
   * page; its id is the page's `through` and the id of that change, so a stream resumes where `Last-Event-ID` says. `onOver`:
   * called when it has ended, with the number up to which the device has the list. Throws, and answers nothing, where the
   * device cannot go on from where it is.
   */
  start(
    request: Request,
    response: Response,
    { id, listId }: Device,
    { since, last, model }: Position,
    onOver: (reached: number) => void,
  ): void {
    const first = this.read(deviceNow(this.db, id), model, since, last);
    const lines = [...this.ofDevices.get(id)];
    for (const lost of lines.slice(0, Math.max(0, lines.length + 1 - MOST_OF_ONE_DEVICE))) this.hangUp(lost);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    let sent = since;
    let blocked = false;
    const write = (read: Read, device: Device) => {
      sent = read.through;
      blocked = !response.write(
        `event: page\nid: ${positionOf(read)}\ndata: ${pageFor(this.erasure, device, read)}\n\n`,
      );
    };
    const send = (evenIfNone = false) => {
      try {
        for (let more = true; more && !blocked;) {
          const device = deviceNow(this.db, id);
          // It may have been signed out by another program that shares the data.
          if (device.signedOutAt !== null) return this.hangUp(stream);
          const read = this.read(device, model, sent);
          if (!evenIfNone && read.through === sent) return;
          more = read.more;
          write(read, device);
        }
      } catch (error) {
        // The device comes back and asks again.
        logFailure('A stream was ended, since the list could not be read', error);
        this.hangUp(stream);
      }
    };
    const stream: Stream = {
      device: { id, listId },
      response,
      send,
      end: () => {
        clearInterval(heartbeat);
        response.end();
      },
    };
    // A device that reads slowly gets the rest when it has read what was sent.
    const resume = () => {
      blocked = false;
      if (this.isHeld(stream)) send();
    };
    const heartbeat = setInterval(() => response.write('event: still-here\ndata: 1\n\n'), HEARTBEAT);
    response.on('error', () => this.hangUp(stream));
    this.ofLists.add(listId, stream);
    this.ofDevices.add(id, stream);
    response.on('drain', resume);
    request.on('close', () => {
      this.hangUp(stream);
      // What is still in the buffer has not arrived; if more was lost on the way, the device says so when it comes back.
      onOver(response.writableLength === 0 ? sent : since);
    });
    write(first, deviceNow(this.db, id));
    if (first.more) send();
    this.lastRead = null;
  }

  /** How many are open. */
  get size(): number {
    return this.ofLists.all().length;
  }

  /** Sends every stream what its device lacks, and ends it, so that the server can close. */
  close(): void {
    for (const stream of this.ofLists.all()) {
      stream.send();
      this.hangUp(stream);
    }
  }

  /** Nothing is written to it from now on. */
  private hangUp(stream: Stream): void {
    this.ofLists.remove(stream.device.listId, stream);
    this.ofDevices.remove(stream.device.id, stream);
    stream.end();
  }

  private isHeld(stream: Stream): boolean {
    return this.ofDevices.get(stream.device.id).has(stream);
  }

  private read({ listId, subscribedSets }: Device, model: number, since: number, last?: string): Read {
    const of = `${listId} ${model} ${subscribedSets} ${since} ${last ?? ''}`;
    if (this.lastRead?.of !== of)
      this.lastRead = {
        of,
        read: readRecords(this.db, {
          listId,
          subscribedSets: subscribedSetsOf({ subscribedSets }),
          since,
          last,
          limit: PAGE,
          model,
        }),
      };
    return this.lastRead.read;
  }
}

/** Streams by the id of what they belong to. */
class Groups {
  private readonly groups = new Map<string, Set<Stream>>();

  get(id: string): ReadonlySet<Stream> {
    return this.groups.get(id) ?? NONE;
  }

  add(id: string, stream: Stream): void {
    const group = this.groups.get(id);
    if (group) group.add(stream);
    else this.groups.set(id, new Set([stream]));
  }

  remove(id: string, stream: Stream): void {
    const group = this.groups.get(id);
    if (group?.delete(stream) && group.size === 0) this.groups.delete(id);
  }

  all(): Stream[] {
    return [...this.groups.values()].flatMap((group) => [...group]);
  }
}

const NONE: ReadonlySet<Stream> = new Set();
