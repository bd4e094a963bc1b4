// The start shares codes and kinds of device with this room, and comes with it.
// What opens a stand-in joins as the start does.
export { openStandIn } from '@/frame/standIn/openStandIn';
export { default as StartPage } from '@/features/start/StartPage';
export { AddDevicePage } from '@/features/devices/AddDevicePage';
export { DevicePage } from '@/features/devices/DevicePage';
export { DevicesPane } from '@/features/devices/DevicesPane';
export { HistoryPage } from '@/features/devices/HistoryPage';
export { InvitePage } from '@/features/devices/InvitePage';
export { SpareKeyPage } from '@/features/devices/SpareKeyPage';
export { Versions, VersionsPage } from '@/features/devices/Versions';
