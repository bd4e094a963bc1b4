import type { IncomingMessage, ServerResponse } from 'node:http';

import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';

import { createApi } from './api';
import type { ApiOptions } from './api/options';
import { pushLane } from './api/push';
import { refuseForeignPages, type Asking } from './api/request';
import { requestIdHeader } from './requests';
import { answerUnknownPath, answerWithProblem, ProblemError } from './problem';

export interface AppOptions extends ApiOptions {
  /** The folder of the exported app; without it only the API is served. */
  site?: string;
  /** Host names it answers to, without port. A page elsewhere cannot pose as one of them. */
  hosts: () => readonly string[];
  /** Whether a program on this machine stands in front of it, and tells who asks and by which protocol. */
  isBehindProxy?: boolean;
  /** Whether it is reached over https: by its own certificate, or through the proxy. */
  isSecure?: boolean;
}

/** The whole server as one listener, without a port; `express` is the application that answers all but pushes. */
export interface App {
  (request: IncomingMessage, response: ServerResponse): void;
  express: Express;
}

export function createApp({ site, hosts, isBehindProxy, isSecure = false, ...api }: AppOptions): App {
  const app = express();
  const refuseForeignHosts = hostGuard(hosts);
  const headers = securityHeaders(api.publicUrl !== undefined, isSecure || api.publicUrl !== undefined);
  app.disable('x-powered-by');
  // What the API answers is asked for once: to make a hash of it costs more than it ever saves.
  app.set('etag', false);
  app.set('trust proxy', isBehindProxy ? 'loopback' : false);
  app.use((request, response, next) => {
    refuseForeignHosts(request);
    for (const [name, value] of Object.entries({ ...headers, ...requestIdHeader(response) }))
      response.setHeader(name, value);
    // Whether this page of ours is reached and trusted may be asked by the one about trust, which stands at another address.
    if (request.path === '/api/health') response.setHeader('Cross-Origin-Resource-Policy', 'cross-origin');
    next();
  });
  app.use('/api', createApi(api), answerUnknownPath);
  if (site) {
    app.use(compression());
    serveSite(app, site);
  }
  app.use(answerUnknownPath);
  app.use(answerWithProblem);
  const push = pushLane(api, [refuseForeignHosts, refuseForeignPages], headers);
  const listener = (request: IncomingMessage, response: ServerResponse) => {
    if (!push(request, response)) app(request, response);
  };
  return Object.assign(listener, { express: app });
}

function serveSite(app: Express, site: string): void {
  const hashed = /\/(_expo\/static|assets)\//;
  app.use(
    express.static(site, {
      index: false,
      setHeaders: (response, path) => {
        const forEver = hashed.test(path.replaceAll('\\', '/'));
        response.set('Cache-Control', forEver ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  // What is shared is for the service worker; where there is none yet, it is not read, and the page says so.
  app.post('/share', (_request, response) => response.redirect(303, '/share'));
  // Every other path is a place inside the app, unless it looks like a file that is missing.
  app.get('/{*path}', (request, response, next) => {
    if (/\.[a-z0-9]+$/i.test(request.path)) next();
    else response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: site });
  });
}

/** What no page of ours asks a browser for. */
const REFUSED_FEATURES = [
  'accelerometer',
  'camera',
  'display-capture',
  'geolocation',
  'gyroscope',
  'magnetometer',
  'microphone',
  'midi',
  'payment',
  'usb',
];
const HALF_A_YEAR = 182 * 24 * 3_600;

/**
 * What every answer carries. The same for all, so Helmet is asked once. `isPublic`: it has a public address, to which
 * browsers are to come by https alone from now on (RFC 6797).
 */
function securityHeaders(isPublic: boolean, isSecure: boolean): Record<string, string> {
  const headers: Record<string, string> = {};
  if (isSecure) headers['Permissions-Policy'] = REFUSED_FEATURES.map((name) => `${name}=()`).join(', ');
  const collect = { setHeader: (name: string, value: string) => (headers[name] = value), removeHeader: () => {} };
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        // React Native Web writes its style sheet into the page.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        // The sheet carries its faces with it.
        fontSrc: ["'self'", 'data:'],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: isPublic && { maxAge: HALF_A_YEAR, includeSubDomains: false },
  })({} as IncomingMessage, collect as unknown as ServerResponse, () => {});
  return headers;
}

/** Refuses a request for a name that is not ours. A browser says one name again and again: the last right one need not be read anew. */
function hostGuard(hosts: () => readonly string[]): (request: Asking) => void {
  let lastRight: string | undefined;
  return ({ headers: { host } }) => {
    if (host !== undefined && host === lastRight) return;
    const address = `http://${host}`;
    if (!URL.canParse(address) || !hosts().includes(new URL(address).hostname)) {
      throw new ProblemError(421, 'foreign-host', 'This server does not answer to that name');
    }
    lastRight = host;
  };
}
