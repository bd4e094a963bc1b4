// The start shares codes and kinds of device with this room, and comes with it.
export { default as StartPage } from '@/features/start/StartPage';
export { AddDevicePage } from '@/features/devices/AddDevicePage';
export { DevicePage } from '@/features/devices/DevicePage';
export { DevicesPane } from '@/features/devices/DevicesPane';
export { HistoryPage } from '@/features/devices/HistoryPage';
export { InvitePage } from '@/features/devices/InvitePage';
export { SpareKeyPage } from '@/features/devices/SpareKeyPage';
export { Versions, VersionsPage } from '@/features/devices/Versions';
