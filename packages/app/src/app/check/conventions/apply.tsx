import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const ApplyPage = lazy(() => import('@/features/conventions/ApplyPage'));

export default function Apply() {
  const { place, marker, scope } = useLocalSearchParams<{ place: string; marker?: string; scope?: string }>();
  return <ApplyPage key={`${place} ${marker} ${scope}`} place={place} marker={marker ?? ''} scope={scope ?? ''} />;
}
