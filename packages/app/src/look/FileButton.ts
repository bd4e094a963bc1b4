/** The web's button is the only one so far; Metro takes the `.web` file by itself. */
export * from './FileButton.web';
