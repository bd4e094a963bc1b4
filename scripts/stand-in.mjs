// `npm run stand-in -- --kind phone --join CODE --type ';ten '`: a simulated device without a browser that types a script of keys and
// prints the text. Everything it says beside that goes to standard error.
import { buildTerminal, fail, installPackages, run } from './steps.mjs';

try {
  await installPackages();
  const program = await buildTerminal('stand-in');
  process.exit(await run(process.execPath, [program, ...process.argv.slice(2)]));
} catch (error) {
  fail(error);
}
