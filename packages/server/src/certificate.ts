/** The operator's own certificate, looked at before it is served. */
import { createPrivateKey, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';

import { log } from './log';

/** PEM. */
export interface Certificate {
  cert: string;
  key: string;
}

/**
 * Reads a certificate and its key. Throws an error that says which file is wrong and how. One that browsers refuse by its dates, or for the
 * name in `publicUrl`, is told in the log and served: a restart at night should not take the list away.
 */
export function readCertificate(files: Certificate, publicUrl: string | undefined, now: number): Certificate {
  const cert = readText(files.cert);
  const key = readText(files.key);
  const certificate = parsed(files.cert, 'certificate', () => new X509Certificate(cert));
  const privateKey = parsed(files.key, 'private key', () => createPrivateKey(key));
  if (!certificate.checkPrivateKey(privateKey)) throw new Error(`${files.key} is not the key of ${files.cert}`);
  const day = (date: string) => new Date(date).toISOString().slice(0, 10);
  const { validFrom, validTo } = certificate;
  if (now > Date.parse(validTo))
    log().warn(`The certificate expired on ${day(validTo)}. Browsers refuse it: renew it.`);
  if (now < Date.parse(validFrom))
    log().warn(
      `The certificate counts from ${day(validFrom)}, and it is ${day(new Date(now).toISOString())}. Is the clock right?`,
    );
  const name = publicUrl && new URL(publicUrl).hostname.replace(/^\[(.*)\]$/u, '$1');
  if (name && !(isIP(name) ? certificate.checkIP(name) : certificate.checkHost(name)))
    log().warn(`The certificate is not for ${name}. Browsers refuse it there.`);
  return { cert, key };
}

function readText(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new Error(code === 'ENOENT' ? `${file} is not there` : `${file} can’t be read (${code})`, { cause: error });
  }
}

function parsed<T>(file: string, what: string, parse: () => T): T {
  try {
    return parse();
  } catch (error) {
    throw new Error(`${file} holds no ${what} in PEM`, { cause: error });
  }
}
