import PostalMime from 'postal-mime';

import { htmlToText } from './htmlText';
import type { SentMessage, Skipped } from './message';
import { withoutQuoted } from './quoted';

/** Longer mails are cut, in bytes of the whole mail: what is typed stands at its beginning. */
const LONGEST_MAIL = 8 * 1024 * 1024;
/** Of one that has more parts than are read, this much is looked at. */
const BEGINNING = 256 * 1024;
/** A step is this many mails. */
const A_STEP = 50;

const LINE_FEED = 0x0a;
const FROM = [0x46, 0x72, 0x6f, 0x6d, 0x20];

/** Whether bytes look like mail: one, or a file of many (RFC 4155). */
export function looksLikeMail(bytes: Uint8Array): boolean {
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 2_000));
  if (/^From \S+.* \d{4}/u.test(start)) return true;
  const head = start.split(/\r?\n\r?\n/u, 1)[0]!;
  const fields = head.split(/\r?\n/u).filter((line) => /^[!-9;-~]+:/u.test(line));
  return fields.length >= 2 && fields.some((line) => /^(?:from|date|message-id|received|return-path):/iu.test(line));
}

/** Where each mail of a file begins and ends, in bytes: behind a line “From …” that follows a line break. Linear. */
export function* mailsIn(bytes: Uint8Array): Generator<Uint8Array> {
  let start = isFromLine(bytes, 0) ? lineEnd(bytes, 0) : 0;
  for (let at = bytes.indexOf(LINE_FEED); at >= 0; at = bytes.indexOf(LINE_FEED, at + 1)) {
    if (!isFromLine(bytes, at + 1)) continue;
    yield bytes.subarray(start, at + 1);
    start = lineEnd(bytes, at + 1);
    at = start - 1;
  }
  if (start < bytes.length) yield bytes.subarray(start);
}

function isFromLine(bytes: Uint8Array, at: number): boolean {
  if (!FROM.every((byte, offset) => bytes[at + offset] === byte)) return false;
  // “From here on” is a sentence: the line of a mailbox ends with the year of a date.
  const line = new TextDecoder('latin1').decode(bytes.subarray(at, Math.min(lineEnd(bytes, at), at + 200)));
  return /^From \S+ .*\b\d{4}(?: [+-]\d{4})?\s*$/u.test(line);
}

function lineEnd(bytes: Uint8Array, at: number): number {
  const end = bytes.indexOf(LINE_FEED, at);
  return end < 0 ? bytes.length : end + 1;
}

/**
 * The mails of a file, one or many (RFC 5322 in RFC 4155), without what others wrote in them and without attachments; those
 * without a text are left out. `pause` lets messages in between steps and says how much is read, from 0 to 1.
 */
export async function readMails(
  bytes: Uint8Array,
  pause: (done: number) => Promise<void>,
): Promise<{ messages: SentMessage[]; skipped: Skipped[] }> {
  const messages: SentMessage[] = [];
  const skipped: Skipped[] = [];
  let number = 0;
  for (const mail of mailsIn(bytes)) {
    number += 1;
    if (number % A_STEP === 0) await pause((mail.byteOffset - bytes.byteOffset) / bytes.length);
    try {
      const whole = mail.subarray(0, LONGEST_MAIL);
      const message = await readMail(whole).catch(() => readMail(whole.subarray(0, BEGINNING)));
      if (message.text !== '') messages.push(message);
    } catch {
      skipped.push({ row: number, why: 'damaged' });
    }
  }
  return { messages, skipped };
}

async function readMail(bytes: Uint8Array): Promise<SentMessage> {
  const { text, html, from, date } = await PostalMime.parse(bytes);
  const written = text?.trim() ? text : htmlToText(html ?? '');
  // A line that begins with “From ” has a mark before it in a file of many.
  const plain = written.replaceAll('\r\n', '\n').replaceAll(/^>(>*From )/gmu, '$1');
  const at = date === undefined ? NaN : Date.parse(date);
  return { text: withoutQuoted(plain), at: Number.isNaN(at) ? null : at, from: from?.address?.toLowerCase() ?? null };
}
