import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const OwnKeyboardPage = lazy(async () => ({ default: (await import('@/bundles/keyboards')).OwnKeyboardPage }));

export default function OwnKeyboard() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OwnKeyboardPage key={id} id={id} />;
}
