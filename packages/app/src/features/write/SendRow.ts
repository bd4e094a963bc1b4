/** Links that open other programs are the web's; Metro takes the `.web` file by itself. */
export * from './SendRow.web';
