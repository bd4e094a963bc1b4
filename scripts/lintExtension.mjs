// Builds the extension and has it looked at as a store would. Errors fail, and so do warnings that have no reason here.
import { heard, bin, fail } from './steps.mjs';
import { buildExtension, EXTENSION_ZIP } from './buildExtension.mjs';

/** Warnings that stay, each with what makes it harmless. `message` is the beginning of it. */
const EXPLAINED = [
  // Chromium's word for it; other browsers take `scripts`, which stands beside it.
  { code: 'BACKGROUND_SERVICE_WORKER_IGNORED', file: 'manifest.json', message: 'Unsupported' },
  // Asked for only where it is there: `chrome.dom?.`. Without it, fields in closed shadow roots are not followed.
  { code: 'UNSUPPORTED_API', file: 'field.js', message: 'dom.openOrClosedShadowRoot' },
  // Not a page's document: the Markdown parser has a method of that name, and writes to its own tokens.
  { code: 'UNSAFE_VAR_ASSIGNMENT', file: 'background.js', message: 'Unsafe call to' },
];

const isExplained = (warning) =>
  EXPLAINED.some(
    ({ code, file, message }) => warning.code === code && warning.file === file && warning.message.startsWith(message),
  );

try {
  await buildExtension();
  const { said } = await heard(bin('addons-linter'), ['--output', 'json', EXTENSION_ZIP]);
  const { errors, warnings, notices } = JSON.parse(said.slice(said.indexOf('{'), said.lastIndexOf('}') + 1));
  const open = [...errors, ...notices, ...warnings.filter((one) => !isExplained(one))];
  for (const { _type: type, code, message, file } of open) console.error(`${type} ${code} in ${file}: ${message}`);
  console.log(`The extension: ${open.length} open, ${warnings.length} explained`);
  process.exitCode = open.length === 0 ? 0 : 1;
} catch (error) {
  fail(error);
}
