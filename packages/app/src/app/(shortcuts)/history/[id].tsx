import { useLocalSearchParams } from 'expo-router';
import { RecordIdSchema } from '@yellow-latch/core/model';
import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

import NotFound from '../../+not-found';

const HistoryPage = fetched(async () => ({ default: (await import('@/bundles/devices')).HistoryPage }));

export default function ShortcutHistory() {
  const { id } = useLocalSearchParams<{ id: string }>();
  if (!RecordIdSchema.safeParse(id).success) return <NotFound />;
  return (
    <Suspense fallback={null}>
      <HistoryPage key={id} shortcutId={id} />
    </Suspense>
  );
}
