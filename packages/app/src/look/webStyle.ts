/** Styles that browsers know and React Native's types do not. */
export function webStyle(style: { overflowWrap?: 'anywhere'; visibility?: 'hidden'; fieldSizing?: 'content' }): object {
  return style;
}
