/** Every request from its first byte to its last: what is logged and counted of it. */
import { randomBytes } from 'node:crypto';
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
    made += 1;
    const id = `${OF_THIS_RUN}-${made.toString(36)}`;
    (response as Observed)[ID] = id;
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

/** Ids are told apart by the run of the server and a count: a header for each push is made quickly (bench `commits`). */
const OF_THIS_RUN = randomBytes(3).toString('hex');
let made = 0;

const ID = Symbol('request id');
type Observed = Pick<ServerResponse<IncomingMessage>, 'statusCode'> & { [ID]?: string };

/** The id of the request that is answered with `response`, if it is observed. */
export function requestIdOf(response: Observed): string | undefined {
  return response[ID];
}

/** The same as a header, to go with the answer. */
export function requestIdHeader(response: Observed): Readonly<Record<string, string>> {
  const id = response[ID];
  return id === undefined ? {} : { 'X-Request-Id': id };
}
