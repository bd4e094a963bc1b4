import type { SentMessage } from '../sent';

/** Messages as a file of many mails (RFC 5322 in RFC 4155), as a mail program exports what one sent. */
export function mailboxOf(messages: readonly SentMessage[]): string {
  return messages
    .map(({ text, at, from }, index) => {
      const date = new Date(at ?? 0).toUTCString().replace('GMT', '+0000');
      const [day, of, month, year, time] = date.split(/[ ,]+/u);
      return [
        `From ${from} ${day} ${month} ${of} ${time} ${year}`,
        `From: <${from}>`,
        'To: <somebody@hamble.example>',
        `Date: ${date}`,
        `Message-ID: <${index}@corrieandvale.example>`,
        'MIME-Version: 1.0',
        'Content-Type: text/plain; charset=utf-8',
        'Content-Transfer-Encoding: 8bit',
        '',
        text.replaceAll(/^(>*From )/gmu, '>$1'),
        '',
        '',
      ].join('\n');
    })
    .join('');
}
