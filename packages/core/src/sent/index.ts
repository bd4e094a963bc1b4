/** What somebody sent, read from files: mail, tables, lines of JSON, plain text. What others wrote in a mail is left out. */
export { htmlToText } from './htmlText';
export { looksLikeMail, mailsIn, readMails } from './mail';
export type { SentMessage, SentMessages, Skipped } from './message';
export { readColumns, readOwnText, type OwnText, type OwnTextFormat, type OwnTextProblem } from './ownText';
export { withoutQuoted } from './quoted';
export { formatOf, readSent, type SentFile, type SentFormat, type SentProblem } from './readSent';
