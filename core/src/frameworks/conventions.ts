import type { BodyFacts, FileFacts, MemberFact, TemplateNode } from '../model/facts';
import { eventKey, type MemberKey, propKey } from '../model/member';
import type { FilePath } from '../model/span';
import type { TypeExpr } from '../model/types';

/** What conventions may ask of a project. */
export type Project = {
  readonly files: ReadonlyMap<FilePath, FileFacts>;
  /** Names of the packages that the package of a file depends on; undefined where none is around it. */
  readonly dependenciesOf: (file: FilePath) => ReadonlySet<string> | undefined;
  /** Whether a file is compiled so that it loads also what it imports for types alone. */
  readonly keepsTypeImports: (file: FilePath) => boolean;
};

/** A page that stands in a file by its name: the layouts around it, and what loaders hand to each, as markup. */
export type PlacedPage = {
  readonly file: FilePath;
  readonly path: string;
  readonly body: BodyFacts & { readonly template: readonly TemplateNode[] };
  /** A script adds it to the pages of whatever application takes that in. */
  readonly isAdded?: boolean;
  /** What the outlets in it show, from the outside in; absent where it has none. */
  readonly chain?: readonly PlacedPage['body'][];
};

/** What a tag stands for that its file neither declares nor imports: a name of a file, what a file exports, or something outside. */
export type TagTarget =
  | { readonly kind: 'name' | 'export'; readonly file: FilePath; readonly name: string }
  | { readonly kind: 'outside'; readonly module: string; readonly name: string };

/** Whether a type is that of a function, or may be. */
export const isFunctionType = (type: TypeExpr): boolean =>
  type.kind === 'function' || (type.kind === 'union' && type.of.some((one) => one.kind === 'function'));

/** What a framework whose markup finds parts by selectors brings itself, so that nobody misses it. */
export type SelectorConventions = {
  /** Packages whose directives and converters are all known: they bring no element, and no property that others would miss. */
  readonly ownModules: RegExp;
  /** Its converters, by the name of what brings them into reach. */
  readonly pipes: ReadonlyMap<string, readonly string[]>;
  /** What its directives take, attributes and properties, by the name of what brings these into reach. */
  readonly directives: ReadonlyMap<string, readonly string[]>;
  /** Names of properties and attributes that its own directives take. */
  readonly ownBindings: RegExp;
};

/** What a framework links by convention instead of by name. */
export type LinkConventions = {
  /** The member that a name of a declared type of props stands for. */
  readonly memberOfProp: (name: string) => MemberKey;
  /** What a member of a declared type of props is, by its name and type, where the component does not tell by its use. */
  readonly kindOfProp: (name: string, type: TypeExpr) => MemberFact['kind'];
  /** The member that a name of a declared type of events stands for. */
  readonly memberOfEvent: (name: string) => MemberKey;
  /** Members by which a component asks for a change of a prop that it was given. */
  readonly changesOf: (prop: string) => readonly MemberKey[];
  /** The event that a prop of an element hears by its name, where listeners are props: `onClick`; undefined for all others. */
  readonly eventOf: (prop: string) => string | undefined;
  /** The prop by which a component is customarily given a style class. */
  readonly classProp: string;
  /**
   * The facts of a project with what they mean beyond their text: by the versions that its packages declare (the first number
   * of each), and by what its configuration imports. The same files where their text says it all.
   */
  readonly asMeant?: (
    files: ReadonlyMap<FilePath, FileFacts>,
    majorOf: (file: FilePath, name: string) => number | undefined,
  ) => ReadonlyMap<FilePath, FileFacts>;
  /** Pages that are put together from files. */
  readonly placedPages?: (project: Project) => readonly PlacedPage[];
  /** Static pages into which another framework puts its own: they are no components. */
  readonly shells?: (project: Project) => ReadonlySet<FilePath>;
  /** Tags that are registered for all files of the framework. */
  readonly registeredTags?: (project: Project) => (file: FilePath, tag: string) => TagTarget | undefined;
  /** The condition under which packages export their sources for the framework. */
  readonly exportCondition?: string;
  /** What the routes of a table stand in, where a file beside it shows them. */
  readonly shellOfTable?: (project: Project, table: FilePath) => FilePath | undefined;
  /** Specifiers that stand for a folder of each package without being configured there: `$lib` → `src/lib`. */
  readonly folders?: Readonly<Record<string, string>>;
  /** Modules that stand for files by their place alone, for a project's files: a namespace and a name. */
  readonly moduleFile?: (files: ReadonlySet<FilePath>) => (specifier: string, from: FilePath) => FilePath | undefined;
  /** Classes that bring nothing to what extends them that users could give: by their packages, or by their names where nothing imports them. */
  readonly plainBases?: { readonly modules: RegExp; readonly names: RegExp };
  /** Events for which the platform listens, by their names. */
  readonly heardOutside?: RegExp;
  /** Where markup finds components and directives by selectors: what the framework itself brings into reach. */
  readonly selectors?: SelectorConventions;
  /** Files that only a router shows: what another one hands to them is of another address. */
  readonly routerFiles?: RegExp;
  /** Whether a name of a package gives the route that is shown. */
  readonly givesRoute?: (module: string, name: string) => boolean;
  /** The members by which that gives the parameters of its address, where these are others than `params` alone. */
  readonly routeParams?: RegExp;
};

/** What holds where names are meant as they are written: no prop is a listener by its name, and no name asks for a change of another. */
export const plainConventions = {
  memberOfProp: propKey,
  memberOfEvent: eventKey,
  kindOfProp: (_, type) => (isFunctionType(type) ? 'callback' : 'value'),
  changesOf: () => [],
  eventOf: () => undefined,
  classProp: 'class',
} as const satisfies LinkConventions;
