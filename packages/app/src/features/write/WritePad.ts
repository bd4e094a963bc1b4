/** The web's pad is the only one so far; Metro takes the `.web` file by itself. */
export * from './WritePad.web';
