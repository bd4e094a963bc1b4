/** All that types with the list at hand, in one bundle: the page to write on, the field to try a shortcut in, stand-ins, keyboards, practice. */
// What puts things in order by drag is shared with the tap board, and comes with it.
export { default as SetsPage } from '@/features/sets/SetsPage';
export { LiveExample } from '@/features/write/LiveExample';
export { TryHere } from '@/features/write/TryHere';
export { WritePage } from '@/features/write/WritePage';
// A stand-in types as Write does, and has its page in the same bundle.
export { StandInPage } from '@/features/stand-in/StandInPage';
// The pages of keyboards draw the keys that one types on.
export { default as KeyboardsPage } from '@/features/keyboards/KeyboardsPage';
export { default as OwnKeyboardPage } from '@/features/keyboards/OwnKeyboardPage';
// A practice types too, and what is seen while one writes becomes part of what is known.
export { LearnPage } from '@/features/learn/LearnPage';
export { PicturePage } from '@/features/learn/PicturePage';
export { PracticePage } from '@/features/learn/PracticePage';
export { ProgressPage } from '@/features/learn/ProgressPage';
