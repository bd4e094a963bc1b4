import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const CarryPage = lazy(async () => ({ default: (await import('@/bundles/fit')).CarryPage }));

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CarryPage key={id} id={id} />;
}
