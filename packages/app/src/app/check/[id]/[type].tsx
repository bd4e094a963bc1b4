import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';

import { typeInPath } from '@/parts/findings/path';

const FindingPage = lazy(() => import('@/features/check/FindingPage'));

export default function Finding() {
  const { id, type, guide } = useLocalSearchParams<{ id: string; type: string; guide?: string }>();
  return <FindingPage key={`${id} ${type}`} id={id} type={typeInPath(type)} isGuided={guide === '1'} />;
}
