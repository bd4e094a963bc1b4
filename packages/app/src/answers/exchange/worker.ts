/** The worker of import and export: files are read and written beside the page, which never waits. Bundled by itself. */
import { expose } from 'comlink';

import { ExchangeWorkerApi } from './workerApi';

expose(new ExchangeWorkerApi());
