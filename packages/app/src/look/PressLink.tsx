import type { ComponentProps } from 'react';
import { Pressable } from 'react-native';

interface PressLinkProps extends Omit<ComponentProps<typeof Pressable>, 'role' | 'onPress'> {
  onPress: () => void;
}

/** What leads to another place of the app. Pressables leave Return on a link to the browser, which knows no link here. */
export function PressLink({ onPress, ...props }: PressLinkProps) {
  const onReturn = {
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      if (event.key !== 'Enter') return;
      event.preventDefault();
      onPress();
    },
  };
  return <Pressable role="link" onPress={onPress} {...props} {...(onReturn as object)} />;
}
