// Tells which scripts each place needs, so that its page names them all at once: found one in another, they would come one after another.
import path from 'node:path';

/** The island, under the name that the framework gives to its door. */
const SHELL = '/src/views/shell/Mowing';
/** What runs before all else of a place, as soon as it is here: it comes first. */
const FIRST = 'src/views/shell/ahead.ts';
const RENDERER = '/@astrojs/react/dist/client.js';
const PLACE = /\/src\/views\/(\w+)\/index\.ts$/;

/** Scripts of fewer bytes are put together: a request for a few lines takes as long as one for many. */
const LEAST_BYTES = 10_000;
/** Where the list lies, below the folder of what the browser gets; `src/server/http/scriptsAhead.ts` reads it there. */
const LIST = '_astro/ahead.json';

/** A plugin of Vite that writes the scripts of each place, the one first that runs before all else: { PLACE: [ADDRESS, …] }. */
export function scriptsAhead() {
  let isServerSide = false;
  return {
    name: 'scripts-ahead',
    apply: 'build',
    config: (_config, { isSsrBuild }) => {
      isServerSide = isSsrBuild === true;
      return isServerSide
        ? {}
        : { build: { rollupOptions: { output: { experimentalMinChunkSize: LEAST_BYTES } } } };
    },
    buildStart() {
      if (!isServerSide) this.emitFile({ type: 'chunk', id: path.resolve(FIRST), name: 'first' });
    },
    generateBundle(_options, bundle) {
      if (isServerSide) return;
      const chunks = Object.values(bundle).filter(({ type }) => type === 'chunk');
      const shell = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(SHELL));
      const renderer = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(RENDERER));
      const first = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(FIRST));
      if (!shell || !renderer || !first)
        this.error(
          'The island of the places, what draws it, or what runs before it has another name than is looked for here.',
        );
      const withImports = (names, met = new Set()) => {
        for (const name of names)
          if (!met.has(name) && bundle[name]?.type === 'chunk') {
            met.add(name);
            withImports(bundle[name].imports, met);
          }
        return met;
      };
      const places = chunks.flatMap((chunk) => {
        const name = PLACE.exec(chunk.facadeModuleId ?? '')?.[1];
        return name ? [[name, [first, renderer, shell, chunk]]] : [];
      });
      const list = places.map(([name, needed]) => [
        name,
        [...withImports(needed.map(({ fileName }) => fileName))].map((file) => `/${file}`),
      ]);
      this.emitFile({
        type: 'asset',
        fileName: LIST,
        source: JSON.stringify(Object.fromEntries(list)),
      });
    },
  };
}
