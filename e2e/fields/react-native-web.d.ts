/** It has no types of its own; React Native's are the same. */
declare module 'react-native-web' {
  import type { JSX } from 'react';

  export const TextInput: (properties: {
    'aria-label': string;
    multiline: boolean;
    value: string;
    onChangeText: (text: string) => void;
  }) => JSX.Element;
}
