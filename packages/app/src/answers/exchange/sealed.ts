import type { Sealed } from '@yellow-latch/core/exchange';

import { fromBase64, toBase64 } from './base64';

/**
 * Private shortcuts under a passphrase: AES-GCM with a key of PBKDF2 (NIST SP 800-38D, SP 800-132; RFC 8018), so many rounds as OWASP
 * asks for with SHA-256 (Password Storage Cheat Sheet, 2023). The parameters go with the data.
 */
const ITERATIONS = 600_000;
const SALT_BYTES = 16;
const IV_BYTES = 12;

/** Seals a text. `count`: how many shortcuts it holds, told without the passphrase. */
export async function seal(text: string, count: number, passphrase: string): Promise<Sealed> {
  const salt = crypto.getRandomValues(new Uint8Array(SALT_BYTES));
  const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
  const key = await keyOf(passphrase, salt, ITERATIONS);
  const data = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, new TextEncoder().encode(text));
  return {
    count,
    kdf: 'PBKDF2',
    hash: 'SHA-256',
    iterations: ITERATIONS,
    salt: toBase64(salt),
    cipher: 'AES-GCM',
    iv: toBase64(iv),
    data: toBase64(new Uint8Array(data)),
  };
}

/** What was sealed; null: it was under another passphrase, or it is damaged, which cannot be told apart. */
export async function unseal({ iterations, salt, iv, data }: Sealed, passphrase: string): Promise<string | null> {
  try {
    const key = await keyOf(passphrase, fromBase64(salt), iterations);
    return new TextDecoder().decode(
      await crypto.subtle.decrypt({ name: 'AES-GCM', iv: fromBase64(iv) }, key, fromBase64(data)),
    );
  } catch {
    return null;
  }
}

/** The same letters give the same key however a keyboard composes them. */
async function keyOf(passphrase: string, salt: Uint8Array<ArrayBuffer>, iterations: number): Promise<CryptoKey> {
  const material = await crypto.subtle.importKey(
    'raw',
    new TextEncoder().encode(passphrase.normalize('NFKC')),
    'PBKDF2',
    false,
    ['deriveKey'],
  );
  return crypto.subtle.deriveKey(
    { name: 'PBKDF2', hash: 'SHA-256', salt, iterations },
    material,
    { name: 'AES-GCM', length: 256 },
    false,
    ['encrypt', 'decrypt'],
  );
}
