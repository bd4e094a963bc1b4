/** All that draws a keyboard, in one bundle: the pages of keyboards, and the stand-in that one types on. */
export { default as KeyboardsPage } from '@/features/keyboards/KeyboardsPage';
export { default as OwnKeyboardPage } from '@/features/keyboards/OwnKeyboardPage';
export { StandIn } from '@/features/keyboards/StandIn';
