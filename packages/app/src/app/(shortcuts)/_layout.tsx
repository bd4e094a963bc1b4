import { ListPane } from '@/features/shortcuts/ListPane';
import { SideBySide } from '@/frame/SideBySide';

export default function ShortcutsLayout() {
  return <SideBySide list={<ListPane />} home="/" />;
}
