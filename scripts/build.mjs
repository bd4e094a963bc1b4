// `npm run build`: installs what is missing and builds app, server and commands, for `npm run serve`.
import { build, fail, installPackages, say } from './steps.mjs';

try {
  await installPackages();
  await build();
  say('Built. npm run serve starts it.');
} catch (error) {
  fail(error);
}
