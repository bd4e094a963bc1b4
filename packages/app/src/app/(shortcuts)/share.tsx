import { SharedPage } from '@/features/editor/SharedPage';

export default function Share() {
  return <SharedPage />;
}
