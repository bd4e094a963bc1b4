/** For controls beside a field: pressing one leaves the focus, and with it the caret and the keys, where they are. */
export const keepingFocus = {
  onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault(),
} as object;
