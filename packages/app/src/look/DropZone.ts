/** The web's is the only one so far; Metro takes the `.web` file by itself. */
export * from './DropZone.web';
