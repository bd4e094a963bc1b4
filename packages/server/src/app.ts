import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';

import { createApi, type ApiOptions } from './api';
import { answerUnknownPath, answerWithProblem, ProblemError } from './problem';

export interface AppOptions extends ApiOptions {
  /** The folder of the exported app; without it only the API is served. */
  site?: string;
  /** Host names it answers to, without port. A page elsewhere cannot pose as one of them. */
  hosts: readonly string[];
  /** Whether a program on this machine stands in front of it, and tells who asks and by which protocol. */
  isBehindProxy?: boolean;
}

/** The whole server as one Express application, without a port. */
export function createApp({ site, hosts, isBehindProxy, ...api }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', isBehindProxy ? 'loopback' : false);
  app.use(refuseForeignHosts(hosts));
  app.use(securityHeaders());
  app.use(compression({ filter: isCompressible }));
  app.use('/api', createApi(api), answerUnknownPath);
  if (site) serveSite(app, site);
  app.use(answerUnknownPath);
  app.use(answerWithProblem);
  return app;
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
  // Every other path is a place inside the app, unless it looks like a file that is missing.
  app.get('/{*path}', (request, response, next) => {
    if (/\.[a-z0-9]+$/i.test(request.path)) next();
    else response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: site });
  });
}

function securityHeaders() {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        // React Native Web writes its style sheet into the page.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });
}

function isCompressible(request: Request, response: Response): boolean {
  const isStream = String(response.getHeader('Content-Type')).startsWith('text/event-stream');
  return !isStream && compression.filter(request, response);
}

function refuseForeignHosts(hosts: readonly string[]) {
  return (request: Request, _response: Response, next: NextFunction) => {
    const address = `http://${request.headers.host}`;
    if (!URL.canParse(address) || !hosts.includes(new URL(address).hostname)) {
      throw new ProblemError(421, 'foreign-host', 'This server does not answer to that name');
    }
    next();
  };
}
