import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const FitPage = lazy(async () => ({ default: (await import('@/bundles/fit')).FitPage }));

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FitPage key={id} id={id} />;
}
