/** It has no types of its own; React Native's are the same. */
declare module 'react-native-web' {
  export const TextInput: (properties: {
    'aria-label': string;
    multiline: boolean;
    value: string;
    onChangeText: (text: string) => void;
  }) => import('react').JSX.Element;
}
