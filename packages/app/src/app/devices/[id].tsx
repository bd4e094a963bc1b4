import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const DevicePage = lazy(async () => ({ default: (await import('@/features/devices')).DevicePage }));

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DevicePage key={id} id={id} />;
}
