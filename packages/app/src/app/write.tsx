import { WritePage } from '@/features/write/WritePage';

export default function Write() {
  return <WritePage />;
}
