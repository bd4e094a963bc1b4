// `npm run list -- export|import|check FILE`: your list in scripts. --help tells the rest.
import { buildTerminal, fail, installPackages, run } from './steps.mjs';

try {
  await installPackages();
  const program = await buildTerminal('list');
  process.exit(
    await run(process.execPath, [program, ...process.argv.slice(2)], { cwd: process.env.INIT_CWD ?? process.cwd() }),
  );
} catch (error) {
  fail(error);
}
