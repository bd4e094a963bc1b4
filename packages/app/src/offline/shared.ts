/**
 * What another program shares to this one. The service worker takes it and puts it aside on this device; the page fetches it
 * from there. It goes by no address and to no server, where logs and histories would keep it.
 */
export const SHARE_PATH = '/share';
const CACHE = 'shared';
/** What nobody has fetched by then is thrown away, in ms. */
const LONGEST = 60 * 60 * 1_000;

/** What was shared: a text with what it was called, or a file. */
export type Shared = { type: 'text'; text: string; title: string } | { type: 'file'; file: File };

/** A form as browsers have it; React Native's types know another. */
interface Form {
  get(name: string): File | string | null;
}

/** Puts aside what a form of the share sheet holds, and leads to the page that fetches it. */
export async function takeShared(request: Request): Promise<Response> {
  const form = (await request.formData().catch(() => null)) as Form | null;
  const cache = await caches.open(CACHE);
  await throwOldAway(cache);
  const name = crypto.randomUUID();
  const file = form?.get('file');
  const text = form ? textOf(form) : '';
  const headers = (type: string, more: Record<string, string> = {}) => ({
    'content-type': type,
    'x-at': String(Date.now()),
    ...more,
  });
  if (file instanceof File && file.size > 0)
    await cache.put(
      `${SHARE_PATH}/${name}`,
      new Response(file, { headers: headers('application/octet-stream', { 'x-name': encodeURIComponent(file.name) }) }),
    );
  else if (text !== '')
    await cache.put(
      `${SHARE_PATH}/${name}`,
      new Response(JSON.stringify({ text, title: lineOf(form!, 'title') }), { headers: headers('application/json') }),
    );
  else return Response.redirect(SHARE_PATH, 303);
  return Response.redirect(`${SHARE_PATH}?of=${name}`, 303);
}

/** The text; a link that does not stand in it already follows it. What has only a title is that. */
function textOf(form: Form): string {
  const [text, url, title] = [lineOf(form, 'text'), lineOf(form, 'url'), lineOf(form, 'title')];
  if (url !== '' && !text.includes(url)) return text === '' ? url : `${text}\n${url}`;
  return text === '' ? title : text;
}

function lineOf(form: Form, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value.replace(/\r\n?/g, '\n').trim() : '';
}

async function throwOldAway(cache: Cache): Promise<void> {
  for (const request of await cache.keys()) {
    const at = Number((await cache.match(request))?.headers.get('x-at'));
    if (!(at > Date.now() - LONGEST)) await cache.delete(request);
  }
}

/** Fetches what was put aside under a name, once; null: it is not there. */
export async function fetchShared(name: string): Promise<Shared | null> {
  const cache = await caches.open(CACHE);
  const path = `${SHARE_PATH}/${name}`;
  const kept = await cache.match(path);
  await cache.delete(path);
  if (!kept) return null;
  const fileName = kept.headers.get('x-name');
  if (fileName !== null) return { type: 'file', file: new File([await kept.blob()], decodeURIComponent(fileName)) };
  const { text, title } = (await kept.json()) as { text: string; title: string };
  return { type: 'text', text, title };
}
