/** Figures for whoever watches the server, in the text form of Prometheus, at a port of their own on this machine. */
import { createServer } from 'node:http';

import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

import { listen, stopListening } from './listening';
import type { Answered } from './requests';
import type { Streams } from './stream';

export class Metrics {
  private readonly registry = new Registry();
  private readonly seconds: Histogram<'method' | 'route' | 'status'>;
  private readonly bytes: Counter<'route'>;
  private readonly server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/metrics') return void response.writeHead(404).end();
    void this.registry
      .metrics()
      .then((text) => response.writeHead(200, { 'Content-Type': this.registry.contentType }).end(text));
  });

  constructor(streams: Pick<Streams, 'size'>) {
    const registers = [this.registry];
    collectDefaultMetrics({ register: this.registry, prefix: 'yellow_latch_' });
    this.seconds = new Histogram({
      name: 'yellow_latch_request_seconds',
      help: 'How long requests took, streams left out',
      labelNames: ['method', 'route', 'status'],
      buckets: [0.002, 0.01, 0.05, 0.2, 1, 5],
      registers,
    });
    this.bytes = new Counter({
      name: 'yellow_latch_sent_bytes_total',
      help: 'Bytes of answers',
      labelNames: ['route'],
      registers,
    });
    new Gauge({
      name: 'yellow_latch_streams',
      help: 'Open event streams',
      registers,
      collect() {
        this.set(streams.size);
      },
    });
  }

  count({ method, route, status, ms, bytes }: Answered): void {
    this.bytes.inc({ route }, bytes);
    if (!route.endsWith('/stream')) this.seconds.observe({ method, route, status }, ms / 1_000);
  }

  async listen(port: number): Promise<void> {
    await listen(this.server, port, '127.0.0.1');
  }

  get port(): number {
    return (this.server.address() as { port: number }).port;
  }

  close(): Promise<void> {
    return stopListening(this.server, 0);
  }
}
