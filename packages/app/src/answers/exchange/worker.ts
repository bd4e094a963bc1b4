/** The worker of import and export: files are read and written beside the page, which never waits. Bundled by itself. */
import { expose } from 'comlink';

import { ExchangeDesk } from './desk';

expose(new ExchangeDesk());
