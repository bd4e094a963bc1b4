/** The web's page is the only one so far; Metro takes the `.web` file by itself. */
export * from './PicturePage.web';
