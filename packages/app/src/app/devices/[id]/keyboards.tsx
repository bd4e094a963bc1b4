import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const KeyboardsPage = lazy(async () => ({ default: (await import('@/bundles/write')).KeyboardsPage }));

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <KeyboardsPage key={id} id={id} />;
}
