// On the web this is VirtualList.web.tsx.
export { VirtualList, type VirtualListHandle } from './VirtualList.web';
