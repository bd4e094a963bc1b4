/** The worker of symbols: an index of all of Unicode's names, beside the page. Bundled by itself. */
import { expose } from 'comlink';

import { SymbolsWorkerApi } from './workerApi';

expose(
  new SymbolsWorkerApi(async (name) => {
    const response = await fetch(`/language/${name}.json`);
    if (!response.ok) throw new Error(`${name}: ${response.status}`);
    return response.json() as Promise<unknown>;
  }),
);
