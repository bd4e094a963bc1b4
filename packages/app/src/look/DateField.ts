/** The web's own picker is the only one so far; Metro takes the `.web` file by itself. */
export * from './DateField.web';
