/** All that draws a keyboard, in one bundle: the pages of keyboards, and the stand-in that one types on. */
export { default as KeyboardsPage } from './KeyboardsPage';
export { default as OwnKeyboardPage } from './OwnKeyboardPage';
export { StandIn } from './StandIn';
