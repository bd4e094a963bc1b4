import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const OwnKeyboardPage = lazy(async () => ({ default: (await import('@/bundles/write')).OwnKeyboardPage }));

export default function Route() {
  const { keyboard, on } = useLocalSearchParams<{ keyboard: string; on?: string }>();
  return <OwnKeyboardPage key={keyboard} id={keyboard} on={on} />;
}
