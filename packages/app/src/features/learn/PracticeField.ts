/** The web's field is the only one so far; Metro takes the `.web` file by itself. */
export * from './PracticeField.web';
