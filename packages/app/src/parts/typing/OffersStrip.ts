/** The web's strip is the only one so far; Metro takes the `.web` file by itself. */
export * from './OffersStrip.web';
