/**
 * The origin of our browser extension. Its id is made of the public key in its manifest (SHA-256, the first 128 bits, a
 * to p for 0 to f), so it is the same wherever it was loaded.
 */
export const EXTENSION_ORIGIN = 'chrome-extension://climjdfkdfbodpfikbbdgmogelgkpfba';
