import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const DevicePage = lazy(async () => ({ default: (await import('@/bundles/devices')).DevicePage }));

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DevicePage key={id} id={id} />;
}
