import { isNewPlace, newPlace } from '@yellow-latch/replica/storage/unsaved';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';

import { Editor } from '@/features/editor/Editor';
import { useOpened } from '@/frame/replica/ReplicaProvider';

/** A new shortcut, by its place in the address; without one, that which was typed into last, so that a reload finds it. */
export default function NewShortcut() {
  const { at } = useLocalSearchParams<{ at?: string }>();
  const { unsaved } = useOpened();
  const [last] = useState(() => unsaved.all.find(({ place }) => isNewPlace(place))?.place ?? newPlace());
  const place = at !== undefined && isNewPlace(at) ? at : last;
  return <Editor key={place} place={place} />;
}
