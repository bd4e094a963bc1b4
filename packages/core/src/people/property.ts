import ICAL from 'ical.js';

/** A property of a card: its name in lower case, its types, and its value, of which the parts are lists where they are several. */
export interface CardProperty {
  readonly name: string;
  readonly types: readonly string[];
  readonly value: readonly string[];
}

/** Parameters that older cards write without their name: what each is. */
const ENCODINGS = new Set(['quoted-printable', 'base64', '8bit', '7bit']);

/**
 * Reads a content line (RFC 6350 and RFC 2426, by ical.js; parameters without a name and quoted-printable as vCard 2.1 has
 * them). Throws where it is none.
 */
export function readProperty(line: string, version: '3' | '4'): CardProperty {
  const colon = colonOf(line);
  const [head, written] = [line.slice(0, colon), line.slice(colon + 1)];
  const [name, ...parameters] = head.split(';');
  const lower = parameters.map((parameter) => parameter.toLowerCase());
  const isQuoted = lower.some((parameter) => parameter.endsWith('quoted-printable'));
  const charset = lower.find((parameter) => parameter.startsWith('charset='))?.slice('charset='.length) ?? 'utf-8';
  const kept = parameters
    .filter((_, index) => !ENCODINGS.has(lower[index]!) && !/^(?:encoding|charset)=/u.test(lower[index]!))
    .map((parameter) => (parameter.includes('=') ? parameter : `TYPE=${parameter}`));
  const value = isQuoted ? fromQuotedPrintable(written, charset).replaceAll(/\r?\n/gu, String.raw`\n`) : written;
  const design = version === '4' ? ICAL.design.vcard : ICAL.design.vcard3;
  const [key, params, , ...values] = ICAL.parse.property(
    [name, ...kept].join(';') + ':' + value,
    design,
  ) as unknown as [string, { type?: string | string[] }, string, ...unknown[]];
  const types = [params.type ?? []].flat().map((type) => type.toLowerCase());
  return {
    name: key,
    types,
    value: values.flat().map((part) => (Array.isArray(part) ? part.join(', ') : String(part))),
  };
}

/** The colon that ends the parameters: the first that stands in no quotes. */
function colonOf(line: string): number {
  let isQuoted = false;
  for (let at = 0; at < line.length; at += 1) {
    if (line[at] === '"') isQuoted = !isQuoted;
    else if (line[at] === ':' && !isQuoted) return at;
  }
  throw new SyntaxError('no colon');
}

/** Text as quoted-printable hides it (RFC 2045, section 6.7); what is no escape stays as it is. */
export function fromQuotedPrintable(text: string, charset: string): string {
  const bytes: number[] = [];
  const plain = new TextEncoder();
  for (const part of text.split(/(=[0-9a-f]{2})/iu)) {
    if (/^=[0-9a-f]{2}$/iu.test(part)) bytes.push(Number.parseInt(part.slice(1), 16));
    else bytes.push(...plain.encode(part));
  }
  return decoderOf(charset).decode(new Uint8Array(bytes));
}

function decoderOf(charset: string): InstanceType<typeof TextDecoder> {
  try {
    return new TextDecoder(charset);
  } catch {
    return new TextDecoder();
  }
}
