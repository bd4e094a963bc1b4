/** The worker of people: files of cards are read beside the page. Bundled by itself. */
import { expose } from 'comlink';

import { PeopleWorkerApi } from './workerApi';

expose(new PeopleWorkerApi());
