// What is loaded together before a first screen stands is put into one file each: a file more costs a slow phone ten
// milliseconds. How the program falls apart by itself is asked of the bundler first, since it knows which exports of a
// room are used; its parts are then put together.
import { build, type InlineConfig, type Rolldown } from 'vite';

/** Entry of a part that is asked for by itself, from the root of the page. */
export interface Group {
  readonly name: string;
  readonly entries: readonly string[];
}

/**
 * @param config how the page is built, without what comes after it.
 * @param main the module that the page itself begins with.
 * @param groups in the order in which they are loaded: what is in one is not in a later one.
 * @returns for a module the file it goes into; null: as the bundler has it.
 */
export async function partsOf(config: InlineConfig, main: string, groups: readonly Group[]) {
  const built = (await build({
    ...config,
    configFile: false,
    logLevel: 'error',
    build: { ...config.build, write: false, minify: false },
  })) as Rolldown.RolldownOutput;
  const chunks = built.output.filter((part): part is Rolldown.OutputChunk => part.type === 'chunk');
  const byFile = new Map(chunks.map((chunk) => [chunk.fileName, chunk]));
  const place = new Map<string, string>();
  const seen = new Set<string>();
  for (const { name, entries } of groups) {
    const visit = (file: string) => {
      const chunk = byFile.get(file);
      if (!chunk || seen.has(file)) return;
      seen.add(file);
      // What begins a part keeps a file of its own: by it the part is asked for.
      for (const id of chunk.moduleIds) if (id !== chunk.facadeModuleId && id !== main) place.set(id, name);
      chunk.imports.forEach(visit);
    };
    for (const entry of entries) {
      const chunk = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(entry));
      if (!chunk) throw new Error(`no part of the page begins with ${entry}`);
      visit(chunk.fileName);
    }
  }
  return (id: string) => place.get(id) ?? null;
}
