import { EventEmitter } from 'node:events';

import type { Request, Response } from 'express';

import type { Database } from './database';
import type { Device } from './devices';
import { readPage } from './ledger';

const HEARTBEAT = 15_000;
const PAGE = 500;

/** The open event streams: told when a list has changed, each sends what its device lacks. */
export class Streams {
  private readonly news = new EventEmitter().setMaxListeners(0);
  private readonly open = new Set<Response>();

  constructor(private readonly db: Database) {}

  announce(listId: string): void {
    this.news.emit(listId);
  }

  /**
   * Keeps `response` open as server-sent events (WHATWG HTML, section 9.2). Every event is a
   * page; its id is the page's `through`, so a stream resumes where `Last-Event-ID` says.
   */
  start(request: Request, response: Response, device: Device, since: number): void {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    let sent = since;
    let blocked = false;
    const send = () => {
      for (let more = true; more && !blocked; ) {
        const page = readPage(this.db, device, sent, PAGE);
        more = page.more;
        sent = page.through;
        blocked = !response.write(`event: page\nid: ${page.through}\ndata: ${page.json}\n\n`);
      }
    };
    // A device that reads slowly gets the rest when it has read what was sent.
    const resume = () => {
      blocked = false;
      if (readPage(this.db, device, sent, 1).through > sent) send();
    };
    const heartbeat = setInterval(() => response.write('event: still-here\ndata: 1\n\n'), HEARTBEAT);
    this.open.add(response);
    this.news.on(device.listId, send);
    response.on('drain', resume);
    request.on('close', () => {
      clearInterval(heartbeat);
      this.news.off(device.listId, send);
      this.open.delete(response);
    });
    send();
  }

  /** Ends all streams, so that the server can close. */
  close(): void {
    for (const response of this.open) response.end();
  }
}
