interface WebStyle {
  overflowWrap?: 'anywhere';
  visibility?: 'hidden';
  fieldSizing?: 'content';
  minWidth?: 'min-content';
  fontSize?: string;
  forcedColorAdjust?: 'none';
}

/** Styles that browsers know and React Native's types do not. */
export function webStyle(style: WebStyle): object {
  return style;
}
