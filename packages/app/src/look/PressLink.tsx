import type { ComponentProps } from 'react';
import { Pressable } from 'react-native';

/** Keys that were held when it was pressed. */
export interface Held {
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

interface PressLinkProps extends Omit<ComponentProps<typeof Pressable>, 'role' | 'onPress'> {
  onPress: (held: Held) => void;
}

/** What leads to another place of the app. Pressables leave Return on a link to the browser, which knows no link here. */
export function PressLink({ onPress, ...props }: PressLinkProps) {
  const onReturn = {
    onKeyDown: (event: Held & { key: string; preventDefault: () => void }) => {
      if (event.key !== 'Enter') return;
      event.preventDefault();
      onPress(event);
    },
  };
  return (
    <Pressable
      role="link"
      onPress={({ nativeEvent }) => onPress(nativeEvent as unknown as Held)}
      {...props}
      {...(onReturn as object)}
    />
  );
}
