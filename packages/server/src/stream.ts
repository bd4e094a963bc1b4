import type { Request, Response } from 'express';

import type { Database } from './database';
import { deviceNow, takesOf, type Device } from './devices';
import { pageFor, readRecords } from './ledger';

const HEARTBEAT = 15_000;
const PAGE = 500;
/** A browser has one stream; more of one device are lines that were lost and not yet missed. */
const MOST_OF_ONE_DEVICE = 3;

interface Stream {
  device: Device;
  response: Response;
  /** Sends what the device lacks; `evenIfNone`, a page also when that is nothing. */
  send(evenIfNone?: boolean): void;
  end(): void;
}

/** The open event streams: told when a list has changed, each sends what its device lacks. */
export class Streams {
  private readonly open = new Set<Stream>();
  /** What was read last, since most streams of a list have come equally far. */
  private lastRead: { of: string; read: ReturnType<typeof readRecords> } | null = null;

  constructor(private readonly db: Database) {}

  announce(listId: string): void {
    this.lastRead = null;
    for (const stream of this.open) if (stream.device.listId === listId) stream.send();
    this.lastRead = null;
  }

  /** Tells a device what has changed about itself. */
  tell(deviceId: string): void {
    this.of(deviceId).forEach((stream) => stream.send(true));
  }

  /** Tells all devices of a list that its devices are not as they were. */
  announceDevices(listId: string): void {
    for (const { device, response } of this.open) if (device.listId === listId) response.write('event: devices\ndata: 1\n\n');
  }

  isOpen(deviceId: string): boolean {
    return this.of(deviceId).length > 0;
  }

  /** Closes the streams of a device that may not have them any more. */
  end(deviceId: string): void {
    for (const stream of this.of(deviceId)) this.hangUp(stream);
  }

  /**
   * Keeps `response` open as server-sent events (WHATWG HTML, section 9.2). Every event is a
   * page; its id is the page's `through`, so a stream resumes where `Last-Event-ID` says. `onOver`: called
   * when it has ended, with the number up to which the device has the list.
   */
  start(request: Request, response: Response, device: Device, since: number, onOver: (reached: number) => void): void {
    const lines = this.of(device.id);
    for (const lost of lines.slice(0, lines.length + 1 - MOST_OF_ONE_DEVICE)) this.hangUp(lost);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    let sent = since;
    let blocked = false;
    const send = (evenIfNone = false) => {
      for (let more = true; more && !blocked; ) {
        const read = this.read(device.id, sent);
        if (!evenIfNone && read.through === sent) return;
        more = read.more;
        sent = read.through;
        blocked = !response.write(`event: page\nid: ${read.through}\ndata: ${pageFor(this.db, device.id, read)}\n\n`);
      }
    };
    const stream: Stream = {
      device,
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
      if (this.open.has(stream)) send();
    };
    const heartbeat = setInterval(() => response.write('event: still-here\ndata: 1\n\n'), HEARTBEAT);
    response.on('error', () => this.hangUp(stream));
    this.open.add(stream);
    response.on('drain', resume);
    request.on('close', () => {
      this.hangUp(stream);
      // What is still in the buffer has not arrived; if more was lost on the way, the device says so when it comes back.
      onOver(response.writableLength === 0 ? sent : since);
    });
    send(true);
    this.lastRead = null;
  }

  /** Ends all streams, so that the server can close. */
  close(): void {
    for (const stream of this.open) this.hangUp(stream);
  }

  /** Nothing is written to it from now on. */
  private hangUp(stream: Stream): void {
    this.open.delete(stream);
    stream.end();
  }

  private of(deviceId: string): Stream[] {
    return [...this.open].filter(({ device }) => device.id === deviceId);
  }

  private read(deviceId: string, since: number) {
    const { listId, takes } = deviceNow(this.db, deviceId);
    const of = `${listId} ${takes} ${since}`;
    if (this.lastRead?.of !== of) this.lastRead = { of, read: readRecords(this.db, { listId, takes: takesOf({ takes }), since, limit: PAGE }) };
    return this.lastRead.read;
  }
}
