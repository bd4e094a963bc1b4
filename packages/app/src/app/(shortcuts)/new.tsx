import { isNewPlace, newPlace } from '@yellow-latch/replica/storage/unsaved';
import { useLocalSearchParams } from 'expo-router';
import { Suspense, useState } from 'react';

import { fetched } from '@/frame/fetched';
import { useOpened } from '@/frame/replica/ReplicaProvider';

const Editor = fetched(async () => ({ default: (await import('@/bundles/edit')).Editor }));

/** A new shortcut, by its place in the address; without one, that which was typed into last, so that a reload finds it. */
export default function NewShortcut() {
  const { at } = useLocalSearchParams<{ at?: string }>();
  const { unsaved } = useOpened();
  const [last] = useState(() => unsaved.all.find(({ place }) => isNewPlace(place))?.place ?? newPlace());
  const place = at !== undefined && isNewPlace(at) ? at : last;
  return (
    <Suspense fallback={null}>
      <Editor key={place} place={place} />
    </Suspense>
  );
}
