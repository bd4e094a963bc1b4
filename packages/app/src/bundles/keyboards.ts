/** All that draws a keyboard, in one bundle: the pages of keyboards, and the keys that one types on. */
export { default as KeyboardsPage } from '@/features/keyboards/KeyboardsPage';
export { default as OwnKeyboardPage } from '@/features/keyboards/OwnKeyboardPage';
export { GlassKeys } from '@/features/keyboards/GlassKeys';
export { CountedKeys } from '@/features/keyboards/CountedKeys';
