import type { FileFacts } from '../../../model/facts';
import { directoryOf, joinPath } from '../../../model/paths';
import type { FilePath } from '../../../model/span';
import type { Beside } from '../../../read/elements/unit';
import type { ScriptLang } from '../../../read/script/parse';

const endings = ['', '.ts', '.js', '.tsx', '.jsx', '.mts', '.mjs'];
const readable = /\.(?:[cm]?[jt]sx?|html)$/;
const others = /(?:^|\/)index\.\w+$|\.(?:d|spec|test|stories)\.\w+$/;

/** So many scripts and templates of a folder are read with the one component in it, where none has its name. */
const mostBeside = 3;

/**
 * Where the parts of a component may stand that it names with `src`, as far as names tell: in files of its own name,
 * else in any of the few beside a component that has the folder for itself. What is read with it makes it read anew.
 */
export function filesBeside(file: FilePath, all: Iterable<FilePath>): FilePath[] {
  if (!file.endsWith('.vue')) return [];
  const folder = directoryOf(file);
  const there = [...all].filter((one) => directoryOf(one) === folder);
  const near = there.filter((one) => readable.test(one) && !others.test(one)).sort();
  const stem = file.replace(/\.vue$/, '');
  const own = near.filter((one) => one.startsWith(`${stem}.`));
  const isAlone = there.filter((one) => one.endsWith('.vue')).length === 1;
  return own.length > 0 ? own : isAlone && near.length <= mostBeside ? near : [];
}

/** The file that a `src` means, of those that are read with the component; undefined where it is none of them. */
export function partMeant(file: FilePath, src: string, beside: Beside): Beside[number] | undefined {
  if (!src.startsWith('.')) return undefined;
  const path = joinPath(directoryOf(file), src);
  return endings.map((ending) => beside.find((one) => one.file === path + ending)).find((one) => one !== undefined);
}

/** The language of a script by the name of its file. */
export function langOf(file: FilePath): ScriptLang {
  const ending = /\.[cm]?([jt]sx?)$/.exec(file)?.[1];
  return ending === 'ts' || ending === 'tsx' || ending === 'jsx' ? ending : 'js';
}

type Files = ReadonlyMap<FilePath, FileFacts>;

/** The facts of a project without those of components that are read as a part of another file. The same files where there are none. */
export function withoutParts(files: Files): Files {
  const parts = new Set([...files.values()].flatMap((facts) => (facts.framework === 'vue' ? partsOf(facts) : [])));
  if (parts.size === 0) return files;
  return new Map([...files].map(([file, facts]) => [file, parts.has(file) ? { ...facts, components: [] } : facts]));
}

const partsOf = ({ file, components }: FileFacts): FilePath[] =>
  components.flatMap(({ files = [] }) => (file.endsWith('.vue') ? files.filter((one) => one !== file) : []));
