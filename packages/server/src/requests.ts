/** Every request from its first byte to its last: what is logged and counted of it. */
import { randomUUID } from 'node:crypto';
import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';

export interface Answered {
  /** Told to the asker too, as `X-Request-Id`. */
  id: string;
  method: string;
  /** The path as the API description has it, without ids; see `routeOf`. */
  route: string;
  status: number;
  ms: number;
  /** Bytes of the answer, with its headers. */
  bytes: number;
}

/** Puts a listener under observation: `tell` hears of every answer when it has gone out, or was cut off. */
export function observed(
  listener: RequestListener,
  routeOf: (method: string, url: string) => string,
  tell: (answered: Answered) => void,
): RequestListener {
  return (request, response) => {
    const began = performance.now();
    const { socket, method = '', url = '' } = request;
    // Express shortens the address on its way.
    const route = routeOf(method, url);
    const sentBefore = socket.bytesWritten;
    const id = randomUUID().slice(0, 8);
    response.setHeader(ID, id);
    response.once('close', () => {
      tell({
        id,
        method,
        route,
        status: response.statusCode,
        ms: Math.round((performance.now() - began) * 10) / 10,
        bytes: socket.bytesWritten - sentBefore,
      });
    });
    listener(request, response);
  };
}

const ID = 'X-Request-Id';

/** The id of the request that is answered with `response`, if it is observed. */
export function requestIdOf(response: Pick<ServerResponse<IncomingMessage>, 'getHeader'>): Readonly<{ id?: string }> {
  const id = response.getHeader(ID);
  return typeof id === 'string' ? { id } : {};
}
