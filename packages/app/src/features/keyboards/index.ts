/** The pages of keyboards, in one bundle: both draw them. */
export { default as KeyboardsPage } from './KeyboardsPage';
export { default as OwnKeyboardPage } from './OwnKeyboardPage';
