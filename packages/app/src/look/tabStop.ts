import { createContext, use } from 'react';

/** Of a list that is one stop of Tab, whether this row is the one it stops at; elsewhere every control is. */
export const TabStop = createContext(true);

/** The `tabIndex` of what a row leads to: arrows reach the rows that Tab passes over. */
export function useTabIndex(): 0 | -1 {
  return use(TabStop) ? 0 : -1;
}
