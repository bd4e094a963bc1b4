/**
 * A template as it reads in a list: its text, with each gap, date and inner shortcut as a word in brackets. It is for the
 * eye alone and reads no more of the source than that takes, so that lists need no parser. `codeOf` gives the code
 * of a shortcut by its id. Linear.
 */
export function sketchOf(source: string, codeOf: (id: string) => string | undefined): string {
  const inner = source.startsWith('{{') && source.endsWith('}}') ? source.slice(2, -2) : source;
  return inner.replaceAll(
    /\\([\\{}|])|\{((?:\|(?:\\.|[^|\\])*\||[^{}|])*)\}/gu,
    (_, escaped: string | undefined, body: string | undefined) => {
      if (escaped !== undefined) return escaped;
      return wordFor(body!.trim(), codeOf);
    },
  );
}

function wordFor(body: string, codeOf: (id: string) => string | undefined): string {
  const option = (name: string) =>
    new RegExp(`\\b${name}=\\|((?:\\\\.|[^|\\\\])*)\\|`, 'u').exec(body)?.[1]?.replaceAll(/\\(.)/gu, '$1');
  if (body.startsWith('#')) return '';
  if (body.startsWith('$')) return `[${option('label') ?? /^\$([^\s:]+)/u.exec(body)?.[1] ?? '…'}]`;
  const name = /^:(\w+)/u.exec(body)?.[1];
  if (name === 'shortcut') return `[${codeOf(option('id') ?? '') ?? '?'}]`;
  if (name === 'today' || name === 'now') return name === 'today' ? '[date]' : '[time]';
  return name ? `[${name}]` : body.replaceAll('|', '');
}
