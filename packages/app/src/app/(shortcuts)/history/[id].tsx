import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const HistoryPage = fetched(async () => ({ default: (await import('@/bundles/devices')).HistoryPage }));

export default function ShortcutHistory() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense fallback={null}>
      <HistoryPage key={id} shortcutId={id} />
    </Suspense>
  );
}
