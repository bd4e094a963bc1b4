import { lazy } from 'react';

const InvitePage = lazy(async () => ({ default: (await import('@/bundles/devices')).InvitePage }));

export default function Route() {
  return <InvitePage />;
}
