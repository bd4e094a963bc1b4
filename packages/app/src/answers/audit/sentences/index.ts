/** Findings, fixes and figures in words: the one place where they are made. */
export * from './claims';
export * from './evidence';
export * from './finding';
export * from './fix';
export * from './mask';
export * from './places';
export * from './words';
