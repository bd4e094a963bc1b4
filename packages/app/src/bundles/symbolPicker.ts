/** One symbol to put in where one types: it comes with the pages that add symbols. */
import { fetched } from '@/frame/fetched';

export const SymbolPicker = fetched(async () => ({ default: (await import('./adding')).SymbolPicker }));
