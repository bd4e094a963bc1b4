import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const OwnKeyboardPage = lazy(() => import('@/features/keyboards/OwnKeyboardPage'));

export default function OwnKeyboard() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OwnKeyboardPage key={id} id={id} />;
}
