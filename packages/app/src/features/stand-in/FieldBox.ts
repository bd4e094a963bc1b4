/** The web's fields are the only ones so far; Metro takes the `.web` file by itself. */
export * from './FieldBox.web';
