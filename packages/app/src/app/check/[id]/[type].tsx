import { useLocalSearchParams } from 'expo-router';

import { typeInPath } from '@/features/check/path';
import { FindingPage } from '@/features/check/FindingPage';

export default function Finding() {
  const { id, type, guide } = useLocalSearchParams<{ id: string; type: string; guide?: string }>();
  return <FindingPage key={`${id} ${type}`} id={id} type={typeInPath(type)} isGuided={guide === '1'} />;
}
