// Leaves out of a run of mutants what was not drawn but lies inside of what was: a range of code can be named, one
// mutant in it cannot.
import { readFileSync } from 'node:fs';
import { relative } from 'node:path';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';

/** What was drawn, as `keyOf` names it. */
export const DRAWN = '.mutants/drawn.json';

export const keyOf = ({ fileName, mutatorName, replacement, location: { start } }) =>
  JSON.stringify([relative('.', fileName), mutatorName, replacement, start.line, start.column]);

class DrawnChecker {
  async init() {
    this.drawn = new Set(JSON.parse(readFileSync(DRAWN, 'utf8')));
  }

  async check(mutants) {
    return Object.fromEntries(
      mutants.map((mutant) => [
        mutant.id,
        this.drawn.has(keyOf(mutant)) ? { status: 'passed' } : { status: 'compileError', reason: 'not drawn' },
      ]),
    );
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Checker, 'drawn', DrawnChecker)];
