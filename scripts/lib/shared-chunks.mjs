// Which modules of the browser go out in one file: few files, and a first screen fetches nothing that it does not need.
import { createHash } from 'node:crypto';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../..');

/** First screens that are held to a budget each (`tests/journeys/screens/budgets.json`), the part of a visit that opens first among them. */
const HELD =
  /\/(?:client\.js|SignInForm|RecallList|Catalogue|VisitTable|steps\/ask\/Ask\.tsx)$|\.astro\?|\/views\/patient\//;

/** What fetches together: such a first screen; what is opened later in a visit; all that is opened elsewhere. */
function fetchOf(root, isEntry) {
  if (HELD.test(root)) return root.includes('/views/patient/') ? 'patient' : root;
  return isEntry ? 'elsewhere' : `later, ${root.includes('/views/visit/') ? 'visit' : 'elsewhere'}`;
}

/** The same wherever the checkout lies: copies of the application give the same files the same names. */
const named = (names) =>
  createHash('sha256')
    .update(
      [...names]
        .map((name) => name.replace(ROOT, ''))
        .sort()
        .join(' '),
    )
    .digest('hex')
    .slice(0, 8);

/**
 * A module that one island or one part alone needs stays with it. One that several need goes with those that the same first screens
 * need, whatever is opened later: a first screen fetches all of such a file or none of it. A package goes with those that exactly the
 * same parts need: it is larger than what it would be fetched beside.
 */
function chunkOf(graph) {
  /** What begins a fetch and needs a module: islands and page scripts, and parts that are imported when they are opened. */
  const reach = new Map();
  const isRoot = (id) => {
    const { isEntry, dynamicImporters } = graph.getModuleInfo(id);
    return isEntry || dynamicImporters.length > 0;
  };
  const spread = (id, root) => {
    const roots = reach.get(id) ?? reach.set(id, new Set()).get(id);
    if (roots.has(root)) return;
    roots.add(root);
    for (const next of graph.getModuleInfo(id).importedIds) if (graph.getModuleInfo(next)) spread(next, root);
  };
  for (const id of graph.getModuleIds()) if (isRoot(id)) spread(id, id);
  return (id) => {
    const roots = reach.get(id);
    if (!roots || roots.size === 1) return undefined;
    return id.includes('/node_modules/')
      ? `packages-${named(roots)}`
      : `shared-${named(new Set([...roots].map((root) => fetchOf(root, graph.getModuleInfo(root).isEntry))))}`;
  };
}

/** For Vite: the browser's files are put together so. */
export const sharedChunks = {
  name: 'shared-chunks',
  outputOptions(options) {
    if (this.environment?.name !== 'client') return null;
    let chunk;
    return {
      ...options,
      manualChunks: (id, graph) => {
        chunk ??= chunkOf(graph);
        return chunk(id);
      },
    };
  },
};
