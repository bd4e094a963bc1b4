import { CheckPane } from '@/features/check/CheckPane';
import { SideBySide } from '@/frame/SideBySide';

export default function CheckLayout() {
  return <SideBySide list={<CheckPane />} home="/check" />;
}
