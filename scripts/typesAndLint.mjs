// Types and lint in one go: what a program of TypeScript has worked out for its types, the rules that ask for types
// find there. As two commands, each would read and work out all of it for itself, once for every workspace.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { ESLint } from 'eslint';
import ts from 'typescript';

import { ROOT } from './steps.mjs';

const TYPED = ['**/*.ts', '**/*.tsx'];
const UNTYPED = ['**/*.{js,mjs,cjs}'];

/** The settings and files of each workspace that has types. */
function workspaces() {
  const { workspaces: folders } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8'));
  return folders.map((folder) => {
    const host = { ...ts.sys, onUnRecoverableConfigFileDiagnostic: report };
    const parsed = ts.getParsedCommandLineOfConfigFile(join(ROOT, folder, 'tsconfig.json'), {}, host);
    if (!parsed) process.exit(1);
    return parsed;
  });
}

/** Workspaces that know a page and those that do not: two programs, so that the core is held to what it may know. */
function* programs() {
  const all = workspaces();
  const knowsPages = ({ options }) => options.lib.some((lib) => lib.includes('dom'));
  for (const some of [all.filter((one) => !knowsPages(one)), all.filter(knowsPages)])
    yield ts.createProgram({
      rootNames: some.flatMap(({ fileNames }) => fileNames),
      options: Object.assign({}, ...some.map(({ options }) => options)),
      configFileParsingDiagnostics: some.flatMap(({ errors }) => errors),
    });
}

function report(...diagnostics) {
  const host = { getCurrentDirectory: () => ROOT, getCanonicalFileName: (name) => name, getNewLine: () => '\n' };
  console.error(ts.formatDiagnosticsWithColorAndContext(diagnostics, host));
}

/** Shows what is wrong with the types of a program's own files; whether they are right. */
function typesAreRight(program) {
  const own = program.getRootFileNames().map((name) => program.getSourceFile(name));
  const found = [
    ...program.getConfigFileParsingDiagnostics(),
    ...program.getOptionsDiagnostics(),
    ...program.getGlobalDiagnostics(),
    ...own.flatMap((file) => [...program.getSyntacticDiagnostics(file), ...program.getSemanticDiagnostics(file)]),
  ];
  if (found.length > 0) report(...found);
  return found.length === 0;
}

/** Shows what the linter finds in files, asking `program` for types; whether it finds nothing. */
async function lintIsClean(files, program) {
  const parserOptions = { projectService: false, programs: [program] };
  const overrideConfig = program ? [{ files: TYPED, languageOptions: { parserOptions } }] : [];
  const eslint = new ESLint({ cwd: ROOT, overrideConfig, warnIgnored: false });
  const results = await eslint.lintFiles(files);
  const text = await (await eslint.loadFormatter('stylish')).format(results);
  if (text) console.error(text);
  return results.every(({ errorCount, fatalErrorCount }) => errorCount + fatalErrorCount === 0);
}

let isRight = await lintIsClean(UNTYPED);
for (const program of programs()) {
  isRight = typesAreRight(program) && isRight;
  isRight = (await lintIsClean([...program.getRootFileNames()], program)) && isRight;
}
process.exitCode = isRight ? 0 : 1;
