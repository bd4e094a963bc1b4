/**
 * Sync: how edits made on several devices become one list, and nothing typed is lost.
 *
 * The only way to write is a `Change`. A device puts it in its outbox, the server puts it in its
 * log; both turn records and changes into the same records with `applyChange`. No I/O here.
 */
export * from './change';
export * from './clock';
export * from './draft';
export * from './erase';
export * from './extension';
export * from './history';
export * from './merge';
export * from './packed';
export * from './record';
export * from './wire';
