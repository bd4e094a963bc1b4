/** All that types with the list at hand, in one bundle: the page to write on, and the field to try a shortcut in. */
export { TryHere } from './TryHere';
export { WritePage } from './WritePage';
