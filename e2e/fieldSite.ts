/** Pages of others on this machine: fields and editors, and whatever else a journey serves. Two addresses are two sites. */
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';

import { build } from 'esbuild';

let bundled: Promise<string> | null = null;

/** The script of all field pages; built once. */
function fieldScript(): Promise<string> {
  bundled ??= build({
    entryPoints: [join(__dirname, '../e2e/fields/pages.tsx')],
    bundle: true,
    format: 'iife',
    platform: 'browser',
    jsx: 'automatic',
    define: { 'process.env.NODE_ENV': '"production"', __DEV__: 'false' },
    loader: { '.js': 'jsx' },
    write: false,
    logLevel: 'error',
  }).then(({ outputFiles }) => outputFiles[0]!.text);
  return bundled;
}

const HEAD = '<!doctype html><html lang="en"><meta charset="utf-8"><title>Page</title>';
const FIELD_PAGE = `${HEAD}<style>.ProseMirror,.cm-editor,.ql-editor{min-height:120px;border:1px solid}.ProseMirror,.ql-editor{white-space:pre-wrap}</style><body><div id="root"></div><script src="/fields.js"></script>`;

export class FieldSite {
  private constructor(private readonly server: Server) {}

  /** `pages`: by path, the body of further pages. */
  static async start(pages: Readonly<Record<string, string>> = {}): Promise<FieldSite> {
    const script = await fieldScript();
    const known = new Map(Object.entries(pages));
    const server = createServer((request, response) => {
      const path = new URL(request.url!, 'http://here').pathname;
      if (path === '/fields.js') response.setHeader('Content-Type', 'text/javascript').end(script);
      else if (path === '/favicon.ico') response.writeHead(204).end();
      else response.setHeader('Content-Type', 'text/html; charset=utf-8').end(pageOf(known.get(path.slice(1))));
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return new FieldSite(server);
  }

  private get port(): number {
    return (this.server.address() as AddressInfo).port;
  }

  /** The address of a page; of another site than the usual one where `elsewhere` says so. */
  at(path: string, elsewhere = false): string {
    return `http://${elsewhere ? 'localhost' : '127.0.0.1'}:${this.port}/${path}`;
  }

  async stop(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
  }
}

function pageOf(body: string | undefined): string {
  return body === undefined ? FIELD_PAGE : `${HEAD}<body>${body}`;
}
