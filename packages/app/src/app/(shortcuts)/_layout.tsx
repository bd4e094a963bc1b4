import { ListPane } from '@/features/shortcuts/ListPane';
import { SideBySide } from '@/frame/SideBySide';

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function ShortcutsLayout() {
  return <SideBySide list={<ListPane />} home="/" />;
}
