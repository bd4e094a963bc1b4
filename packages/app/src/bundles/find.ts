// What keys open on every page, fetched when it is first asked for.
export { FindSheet } from '@/features/find/FindSheet';
export { KeysSheet } from '@/features/find/KeysSheet';
