/**
 * Chooses all of a field that one comes to: at once, and again when a tap has put its caret. Not if a key was quicker: it
 * would be chosen, and the next one would replace it.
 */
export function chooseAll({ nativeEvent }: { nativeEvent: unknown }): void {
  const field = (nativeEvent as FocusEvent).target as HTMLInputElement;
  const { value } = field;
  field.select();
  setTimeout(() => {
    if (document.activeElement === field && field.value === value) field.select();
  });
}
