/** The web's slider is the only one so far; Metro takes the `.web` file by itself. */
export * from './Slider.web';
