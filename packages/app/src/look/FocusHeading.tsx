import { useEffect, useRef } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { Text } from 'react-native-paper';

interface FocusHeadingProps {
  /** Takes the focus whenever this changes to something else than null. */
  focusOn: string | null;
  variant: 'titleLarge' | 'headlineSmall';
  style?: StyleProp<ViewStyle>;
  children: string;
}

/**
 * The heading of what has just come up: the focus goes there, so that a keyboard goes on from it and a
 * screen reader reads it.
 */
export function FocusHeading({ focusOn, variant, style, children }: FocusHeadingProps) {
  const heading = useRef<View & HTMLElement>(null);
  useEffect(() => {
    // A page that was fetched may come up behind a sheet that somebody has opened meanwhile.
    const isBehind = document.querySelector('[aria-modal=true]') !== null;
    if (focusOn !== null && !isBehind) heading.current?.focus({ preventScroll: true });
  }, [focusOn]);
  return (
    <View ref={heading} role="heading" aria-level={1} tabIndex={-1} style={style}>
      <Text variant={variant}>{children}</Text>
    </View>
  );
}
