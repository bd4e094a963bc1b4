/** A device that is no page: it says where its server is, and shows its token itself. */
import { EXTENSION_ORIGIN } from '@yellow-latch/core/sync';

import { reachBy } from './reach';
import { server } from './server';

const asked = jest.spyOn(globalThis, 'fetch');
afterEach(() => reachBy(null));

function answerWith(body: unknown): void {
  asked.mockResolvedValueOnce(new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } }));
}

test('a page asks where it came from, with its cookie; an extension elsewhere, with a header', async () => {
  answerWith({ open: true, lists: true });
  await server.door();
  expect(asked.mock.lastCall).toMatchObject(['/api/door', { credentials: 'same-origin' }]);

  reachBy({
    address: 'http://127.0.0.1:4170',
    asking: () => ({ credentials: 'omit', headers: { Authorization: 'Bearer abc' } }),
    openStream: () => new EventTarget() as EventSource,
  });
  answerWith({ through: 0, taken: 0 });
  await server.push('me', []).catch(() => undefined);
  const [url, init] = asked.mock.lastCall!;
  expect(url).toBe('http://127.0.0.1:4170/api/d/me/changes');
  expect(init).toMatchObject({
    method: 'POST',
    credentials: 'omit',
    headers: { Authorization: 'Bearer abc', 'Content-Type': 'application/json' },
  });
});

test('who is let in is told, with the token', async () => {
  const told = jest.fn(() => Promise.resolve());
  reachBy({
    address: EXTENSION_ORIGIN,
    asking: () => ({}),
    openStream: () => new EventTarget() as EventSource,
    onWelcome: told,
  });
  const welcome = { device: 'me', list: { id: 'l', name: 'A list' }, token: 'abc' };
  answerWith(welcome);
  await server.join('CODE', { id: 'me', name: 'Browser', kind: 'computer' });
  expect(told).toHaveBeenCalledWith(welcome);
});
