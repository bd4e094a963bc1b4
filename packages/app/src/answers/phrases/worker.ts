/** The worker of phrases: sent messages are read and looked through beside the page. Bundled by itself. */
import { expose } from 'comlink';

import { PhrasesWorkerApi } from './workerApi';

expose(new PhrasesWorkerApi(() => new Promise((resolve) => setTimeout(resolve, 0))));
