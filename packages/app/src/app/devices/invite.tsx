import { lazy } from 'react';

const InvitePage = lazy(async () => ({ default: (await import('@/features/devices')).InvitePage }));

export default function Route() {
  return <InvitePage />;
}
