import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

const CheckedPage = lazy(() => import('@/features/check/CheckedPage'));

export default function Checked() {
  const { id, guide } = useLocalSearchParams<{ id: string; guide?: string }>();
  return <CheckedPage key={id} id={id} isGuided={guide === '1'} />;
}
