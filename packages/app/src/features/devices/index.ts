// The start shares codes and kinds of device with this room, and comes with it.
export { default as StartPage } from '../start/StartPage';
export { DevicePage } from './DevicePage';
export { DevicesPane } from './DevicesPane';
export { HistoryPage } from './HistoryPage';
export { InvitePage } from './InvitePage';
export { SpareKeyPage } from './SpareKeyPage';
export { Versions, VersionsPage } from './Versions';
