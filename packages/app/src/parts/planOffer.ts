import { Live } from '@/frame/live';

/** So many shortcuts that came in at once are worth a look at all codes. */
export const MANY_AT_ONCE = 10;

/** How many shortcuts were just imported, while a plan for the codes is offered; null: none is. */
export const planOffer = new Live<number | null>(null);
