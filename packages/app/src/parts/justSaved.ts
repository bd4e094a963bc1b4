import { Live } from '@/frame/live';

/** The shortcut that was saved last: the list brings it into view. */
export const justSaved = new Live<{ readonly id: string } | null>(null);
