import { OwnTextPage } from '@/features/own-text/OwnTextPage';

export default function OwnText() {
  return <OwnTextPage />;
}
