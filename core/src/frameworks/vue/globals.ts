import type { FileFacts } from '../../model/facts';
import { directoryOf, isWithin, joinPath } from '../../model/paths';
import type { FilePath } from '../../model/span';
import type { Project, TagTarget } from '../conventions';
import { isConfigured } from './pages';

/** Tags that packages register for all templates, by the package that does. */
const known: readonly { readonly module: string; readonly needs: RegExp; readonly tags: ReadonlySet<string> }[] = [
  { module: 'vue-router', needs: /^(vue-router|nuxt|vitepress|@nuxt\/.*)$/, tags: new Set(['RouterView', 'RouterLink']) },
  {
    module: 'nuxt',
    needs: /^(nuxt|@nuxt\/.*)$/,
    tags: new Set(
      'NuxtPage NuxtChild Nuxt NuxtLayout NuxtLink NuxtLoadingIndicator NuxtErrorBoundary NuxtRouteAnnouncer NuxtIsland NuxtImg NuxtPicture NuxtTime ClientOnly DevOnly ServerPlaceholder'.split(
        ' ',
      ),
    ),
  },
  { module: 'vitepress', needs: /^vitepress$/, tags: new Set(['ClientOnly', 'Content', 'Badge']) },
];

/** Files by whose presence among the imports of a project its components are registered by their file names. */
const registering = /^(unplugin-vue-components|@nuxt\/components)/;

/** Packages that take components from folders. */
const taking = /^(nuxt|nuxt3|@nuxt\/(content|components|schema|kit))$/;

/** Packages that register tags of their own, which they do not say in the source. */
const bringing =
  /^(@nuxt\/(?!kit$|schema$|test-utils$|eslint|devtools$|image$|fonts$|scripts$)[\w-]+|@nuxtjs\/[\w-]+|nuxt-[\w-]+|[\w-]+-nuxt)$/;

/** Who is meant by a tag: what script registers, what stands where the project's configuration has it so, or what a package brings. */
export function registeredTags({ files, dependenciesOf }: Project): (file: FilePath, tag: string) => TagTarget | undefined {
  const registered = new Map<string, TagTarget>();
  let byFile = false;
  let byFolder = false;
  for (const facts of files.values()) {
    for (const one of facts.globals ?? []) registered.set(one.name, { kind: 'name', file: facts.file, name: one.target });
    if (facts.imports.some((one) => registering.test(one.from))) byFile = true;
    if (isConfigured(facts.file)) byFolder = true;
  }
  for (const file of files.keys())
    if (/(^|\/)components\/.*\.vue$/.test(file) && [...(dependenciesOf(file) ?? [])].some((one) => taking.test(one))) byFolder = true;
  const said = bySaidName(files);
  const others = byRegistering(files);
  const conventional = byFile || byFolder ? byPlace(files, byFolder) : new Map<string, FilePath>();
  const themes = themesOf(files);
  return (file, tag) => {
    const found = registered.get(tag);
    if (found) return found;
    const theme = /^[A-Z]\w*\.(Layout)$/.test(tag) ? themes : undefined;
    if (theme) return theme;
    const plain = tag.replace(/^Lazy(?=[A-Z])/, '');
    // A folder may be registered with a prefix, of which only the configuration knows.
    const [prefix = '', ...rest] = words(plain).filter((word) => word !== '');
    const named = byFolder && rest.length > 0 && prefix.length <= 3 ? conventional.get(rest.join('')) : undefined;
    const place = conventional.get(plain) ?? conventional.get(tag) ?? named;
    if (place !== undefined) return { kind: 'export', file: place, name: 'default' };
    const own = said.get(tag) ?? others.get(tag);
    if (own !== undefined) return { kind: 'export', file: own, name: 'default' };
    const needs = [...(dependenciesOf(file) ?? [])];
    const from = known.find((one) => one.tags.has(tag) && (needs.length === 0 || needs.some((name) => one.needs.test(name))));
    if (from) return { kind: 'outside', module: from.module, name: tag };
    const module = /^[A-Z]|-/.test(tag) ? needs.find((name) => bringing.test(name)) : undefined;
    return module === undefined ? undefined : { kind: 'outside', module, name: tag };
  };
}

/** Components by the names that they give themselves, under which a plugin may register all of them; without those that several have. */
function bySaidName(files: ReadonlyMap<FilePath, FileFacts>): Map<string, FilePath> {
  const found = new Map<string, FilePath>();
  const several = new Set<string>();
  for (const { file, components } of files.values())
    for (const { saidName, form, name } of components) {
      // Under the name of its file it may be meant to be imported.
      if (saidName === undefined || saidName === name || form !== 'file') continue;
      if (found.has(saidName)) several.add(saidName);
      found.set(saidName, file);
    }
  for (const name of several) found.delete(name);
  return found;
}

/**
 * Components by their own names or those of their files, where some module registers what it goes through: what that module
 * loads by folders, or whatever it is handed. Without names that several have.
 */
function byRegistering(files: ReadonlyMap<FilePath, FileFacts>): Map<string, FilePath> {
  const found = new Map<string, FilePath | undefined>();
  const registering = [...files.values()].filter((one) => one.registersOthers);
  if (registering.length === 0) return new Map();
  const folders = registering.map(({ file, later = [], registersOthers }) =>
    registersOthers === 'any' ? [] : later.flatMap((pattern) => folderOf(file, pattern) ?? []),
  );
  // A module that names no folder may be handed any of them.
  const isAny = folders.some((some) => some.length === 0);
  for (const { file, components } of files.values()) {
    if (!isAny && !folders.flat().some((folder) => isWithin(folder, file) || file.includes(`/${folder}/`))) continue;
    for (const { form, saidName, local } of components) {
      if (form !== 'file' && saidName === undefined) continue;
      const [name = '', parent = ''] = file
        .replace(/\.\w+$/, '')
        .split('/')
        .reverse();
      const names = new Set([...(form === 'file' ? [pascal(/^index$/i.test(name) ? parent : name)] : []), ...(saidName ? [saidName] : [])]);
      if (local === 'default') for (const one of names) found.set(one, found.has(one) ? undefined : file);
    }
  }
  return new Map([...found].flatMap(([name, file]) => (file === undefined ? [] : [[name, file] as const])));
}

/** The folder that a pattern of files begins with, or that is gone through as a whole. Undefined for a single file. */
function folderOf(file: FilePath, pattern: string): FilePath | undefined {
  if (!pattern.includes('*') && /\.\w+$/.test(pattern)) return undefined;
  const folder = pattern.replace(/[^/]*\*.*$/, '');
  return joinPath(folder.startsWith('.') ? directoryOf(file) : '', folder.replace(/^[@~]\//, ''));
}

/** The layout of the one theme of a project: what a module named `theme`, or its only default, holds as `Layout`; undefined for none or several. */
function themesOf(files: ReadonlyMap<FilePath, FileFacts>): TagTarget | undefined {
  const found = [...files.values()].flatMap(({ file, aliases }) =>
    /(^|[/.-])theme/.test(file) && /\.[jt]s$/.test(file)
      ? aliases.filter(({ name }) => /^(default|theme|Theme)\.Layout$/.test(name)).map(({ name }) => ({ file, name }))
      : [],
  );
  const [only, ...others] = found;
  return only && others.length === 0 ? { kind: 'name', ...only } : undefined;
}

/** Components by the names that their files' places give them: `components/base/Button.vue` → `BaseButton` with folders, `Button` without. */
function byPlace(files: ReadonlyMap<FilePath, FileFacts>, folders: boolean): Map<string, FilePath> {
  const found = new Map<string, FilePath>();
  for (const file of files.keys()) {
    const match = /(?:^|\/)components\/(.*)\.vue$/.exec(file);
    if (!match) continue;
    const parts = (match[1] ?? '').split('/').map(pascal);
    const last = (parts.pop() ?? '').replace(/(?:Client|Server|Global)$/, (suffix) =>
      /\.(client|server|global)$/.test(match[1] ?? '') ? '' : suffix,
    );
    const name = folders ? joined(parts, last) : last;
    found.set(name, file);
    if (folders && !found.has(last)) found.set(last, file);
  }
  return found;
}

const words = (text: string): string[] => text.split(/(?=\p{Lu})/u);

/** `Ui`, `Badge` and `Badge` → `UiBadge`: folders that the name begins with are not said twice; `Index` is none. */
function joined(folders: readonly string[], last: string): string {
  const name = last === 'Index' ? [] : words(last);
  let kept = folders;
  for (let at = folders.length - 1; at >= 0; at--) {
    const ending = folders.slice(at).flatMap(words);
    if (ending.every((word, index) => word === name[index])) kept = folders.slice(0, at);
  }
  return [...kept, ...name].join('');
}

function pascal(text: string): string {
  return text.replace(/(?:^|[-_.])(\w)/g, (_, letter: string) => letter.toUpperCase());
}
