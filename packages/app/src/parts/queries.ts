import { QueryClient } from '@tanstack/react-query';

/**
 * What is asked of the server: devices, history. The list itself is on this device, and read from the replica; so no provider stands
 * around all screens, and the first one goes without the package.
 */
export const queries = new QueryClient({
  defaultOptions: { queries: { networkMode: 'always', staleTime: Infinity, retry: false } },
});
// It asks again when the page is looked at again.
queries.mount();
