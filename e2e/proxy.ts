/** A line to the server that can be as bad as lines are: a small TCP proxy. */
import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';

/**
 * `good`: passes all on. `refused`: nobody is let through. `stalled`: connections open and nothing comes. `cut`: what the
 * server answers is cut off after some bytes. `repeated`: what is posted arrives twice, as when a request is sent again
 * whose answer was lost.
 */
export type Line = 'good' | 'refused' | 'stalled' | 'cut' | 'repeated';

export class Proxy {
  private line: Line = 'good';
  private readonly sockets = new Set<Socket>();
  /** The first lines of all requests that came, and how many bytes in all. */
  readonly requests: string[] = [];
  received = 0;
  /** How many requests were sent on twice. */
  repeated = 0;

  private constructor(
    private readonly server: Server,
    private readonly to: number,
  ) {}

  static async start(address: string): Promise<Proxy> {
    const server = createServer();
    const proxy = new Proxy(server, Number(new URL(address).port));
    server.on('connection', (client) => proxy.carry(client));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return proxy;
  }

  get address(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  /** Makes the line what it is said to be; connections that were open are cut. */
  be(line: Line): void {
    this.line = line;
    this.cutAll();
  }

  /** Cuts every connection, in the middle of whatever is on it. */
  cutAll(): void {
    for (const socket of this.sockets) socket.destroy();
  }

  async end(): Promise<void> {
    this.cutAll();
    await new Promise<void>((resolve) => this.server.close(() => resolve()));
  }

  private carry(client: Socket): void {
    this.keep(client);
    if (this.line === 'refused') {
      client.destroy();
      return;
    }
    if (this.line === 'stalled') return;
    const server = this.keep(connect(this.to, '127.0.0.1'));
    const end = () => {
      client.destroy();
      server.destroy();
    };
    for (const socket of [client, server]) socket.on('close', end);
    client.on('data', (bytes: Buffer) => {
      this.received += bytes.length;
      const line = /^[A-Z]+ \S+ HTTP/u.exec(bytes.toString('latin1', 0, 400))?.[0];
      if (line) this.requests.push(line);
      server.write(bytes);
      if (this.line === 'repeated') this.repeat(client, bytes);
    });
    let answered = 0;
    server.on('data', (bytes: Buffer) => {
      answered += bytes.length;
      // The head of an answer and a little of what it says.
      if (this.line === 'cut' && answered > 900) {
        client.write(bytes.subarray(0, bytes.length >> 1), end);
        return;
      }
      client.write(bytes);
    });
  }

  private readonly begun = new Map<Socket, Buffer>();

  /** Sends a whole POST on a second time, on a connection of its own, and lets its answer go. */
  private repeat(client: Socket, bytes: Buffer): void {
    const request = Buffer.concat([this.begun.get(client) ?? Buffer.alloc(0), bytes]);
    this.begun.delete(client);
    const head = request.indexOf('\r\n\r\n');
    if (!request.subarray(0, 5).equals(Buffer.from('POST '))) return;
    const length = Number(
      /\r\ncontent-length: *(\d+)/iu.exec(request.toString('latin1', 0, head < 0 ? 0 : head))?.[1] ?? 0,
    );
    if (head < 0 || request.length < head + 4 + length) {
      this.begun.set(client, request);
      return;
    }
    this.repeated += 1;
    const again = this.keep(connect(this.to, '127.0.0.1'));
    again.end(request);
    again.resume();
  }

  private keep(socket: Socket): Socket {
    this.sockets.add(socket);
    socket.on('error', () => {});
    socket.on('close', () => {
      this.sockets.delete(socket);
      this.begun.delete(socket);
    });
    return socket;
  }
}
