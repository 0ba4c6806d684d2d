import type { FileFacts } from '../../model/facts';
import { usesIn } from '../../model/walk';
import type { FilePath } from '../../model/span';
import type { PlacedPage, Project } from '../conventions';
import { bodyOf, useOfFile, useOfTag } from '../placed';

const page = /^((?:.*\/)?)pages\/(.*)\.vue$/;

/** Modules that make routes of the files in `pages`. */
const makesRoutes =
  /^(vue-router\/auto(-routes)?|virtual:generated-pages|~pages|vue-router\/vite|unplugin-vue-router(\/.*)?|vite-plugin-pages)$/;

/** Tags that show the next route of a page. */
export const routeOutlet = /^(NuxtPage|NuxtChild|Nuxt|RouterView|router-view|nuxt-page|nuxt|nuxt-child)$/;

/**
 * The pages of projects whose pages stand in `pages`, each below the application's component, in the
 * layout that it names (or `default`), and in the pages whose files are named like its folders.
 */
export function placedPages(project: Project): PlacedPage[] {
  const { files } = project;
  const all = [...files.keys()];
  const hasConfig = all.some((file) => isConfigured(file));
  const makes = all.some((file) => files.get(file)?.imports.some(({ from }) => makesRoutes.test(from)));
  const needs = (file: FilePath): boolean => {
    const names = project.dependenciesOf(file);
    return (
      makes ||
      hasConfig ||
      (names !== undefined && [...names].some((one) => /^(nuxt|nuxt3|nuxt-edge|@nuxt\/(content|kit|schema))$/.test(one)))
    );
  };
  const pages = all.flatMap((file): PlacedPage[] => {
    const match = page.exec(file);
    return match && needs(file) ? [placed(files, file, match[1] ?? '', match[2] ?? '')] : [];
  });
  const roots = new Set(pages.map(({ file }) => page.exec(file)?.[1] ?? ''));
  const errors = [...roots].flatMap((root): PlacedPage[] => {
    const file = `${root}error.vue`;
    return files.has(file) ? [{ file, path: '(error)', body: bodyOf([useOfFile(file, file, [])]) }] : [];
  });
  return [...pages, ...errors, ...withoutPages(files, roots)];
}

/** The application's own component where its configuration stands and no pages do: it is all that is shown. */
function withoutPages(files: Project['files'], roots: ReadonlySet<FilePath>): PlacedPage[] {
  return [...files.keys()].filter(isConfigured).flatMap((config): PlacedPage[] => {
    const root = config.slice(0, config.lastIndexOf('/') + 1);
    const app = [`${root}app.vue`, `${root}app/app.vue`, `${root}App.vue`].find((one) => files.has(one));
    if (app === undefined || roots.has(root) || roots.has(`${root}app/`)) return [];
    const layout = layoutOf(files, app, app.slice(0, app.lastIndexOf('/') + 1), app);
    const shown = [app, ...(layout === undefined ? [] : [layout])].map((one) => bodyOf([useOfFile(app, one, [])]));
    return [{ file: app, path: '/', body: shown[0] ?? bodyOf([]), chain: shown.slice(1) }];
  });
}

/** Whether a file configures the framework that takes its pages, layouts and components from folders. */
export const isConfigured = (file: FilePath): boolean => /(^|\/)nuxt\.config\.[cm]?[jt]s$/.test(file);

function placed(files: Project['files'], file: FilePath, root: FilePath, path: string): PlacedPage {
  const app = [`${root}app.vue`, `${root}App.vue`].find((one) => files.has(one));
  const layout = layoutOf(files, file, root, app);
  const parts = path.split('/');
  const above = parts.slice(0, -1).flatMap((_, at) => {
    const outer = `${root}pages/${parts.slice(0, at + 1).join('/')}.vue`;
    return files.has(outer) ? [outer] : [];
  });
  const next = useOfTag('RouterView');
  const shown = [
    ...(app === undefined ? [] : [bodyOf([useOfFile(file, app, [])])]),
    ...(layout === undefined ? [] : [bodyOf([useOfFile(file, layout, showsNext(files.get(layout)) ? [] : [next])])]),
    ...[...above, file].map((one) => bodyOf([useOfFile(file, one, [])])),
  ];
  const [body = bodyOf([]), ...chain] = shown;
  const address = parts
    .map((part) =>
      part
        .replace(/^index$/, '')
        .replace(/\[\[?(?:\.\.\.)?(\w+)\]?\]/g, ':$1')
        .replace(/^_(?=\w)/, ':'),
    )
    .filter((part) => part !== '')
    .join('/');
  return { file, path: `/${address}`, body, chain };
}

/** The layout around a page: the one it names, else `default`; none where it wants none, or the application shows none. */
function layoutOf(files: Project['files'], file: FilePath, root: FilePath, app: FilePath | undefined): FilePath | undefined {
  const named = files.get(file)?.layout ?? 'default';
  const layout = [`${root}layouts/${named}.vue`, `${root}layouts/${named}/index.vue`].find((one) => files.has(one));
  const isShown = app === undefined || usesOfFile(files.get(app)).some((tag) => /^(NuxtLayout|nuxt-layout)$/.test(tag));
  return named !== '' && (isShown || (layout !== undefined && showsNext(files.get(layout)))) ? layout : undefined;
}

const usesOfFile = (facts: FileFacts | undefined): string[] =>
  (facts?.components ?? []).flatMap((one) => usesIn(one.template).map(({ tag }) => tag));

/** Whether a layout has an outlet of its own, and is not given the page as its content. */
const showsNext = (facts: FileFacts | undefined): boolean => usesOfFile(facts).some((tag) => routeOutlet.test(tag));

const named =
  /definePageMeta\s*\(\s*\{[^]*?\blayout\s*:\s*(?:(['"])([\w-]+)\1|(false))|^\s*layout\s*:\s*(['"])([\w-]+)\4\s*,?\s*$|^\s*layout:\s*([\w-]+)\s*$/m;

/** The layout that a page names in its text: empty where it wants none, undefined where it says nothing. */
export function layoutNamed(text: string): string | undefined {
  if (!text.includes('layout')) return undefined;
  const match = named.exec(text);
  if (!match) return undefined;
  return match[3] === undefined ? (match[2] ?? match[5] ?? match[6]) : '';
}
