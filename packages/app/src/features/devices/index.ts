export { DevicePage } from './DevicePage';
export { DevicesPane } from './DevicesPane';
export { HistoryPage } from './HistoryPage';
export { InvitePage } from './InvitePage';
export { SpareKeyPage } from './SpareKeyPage';
export { Versions, VersionsPage } from './Versions';
