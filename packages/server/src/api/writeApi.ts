/** Prints docs/api.md; see `npm run api`. */
import { version } from '../../package.json';
import { describeApi } from './description';
import { renderApi } from './rendered';

process.stdout.write(renderApi(describeApi(version)));
