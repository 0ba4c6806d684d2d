import type { ComponentFacts, FileFacts, HookFact, KeyPart, MemberFact, PlacedProblem, TemplateUse, ValueFact } from './facts';
import type { Framework } from './framework';
import type { MemberKey } from './member';
import type { ComponentId, SharedId, UseId } from './ids';
import type { FilePath, Location, Span } from './span';

/** A file that tells how the project is put together: `package.json`, `tsconfig.json`, … */
export type ConfigFile = { readonly file: FilePath; readonly text: string };

/** What kind of code a file holds; tests and stories use components without being pages. */
export type FileRole = 'source' | 'test' | 'story';

/** All files of a project, linked. Immutable; answers are computed from it. */
export type Model = {
  readonly files: ReadonlyMap<FilePath, FileFacts>;
  readonly components: ReadonlyMap<ComponentId, Component>;
  readonly contexts: ReadonlyMap<SharedId, Context>;
  /** Uses written in each component, in the order of the text. */
  readonly usesBy: ReadonlyMap<ComponentId, readonly Use[]>;
  /** Uses of each component, by all others. */
  readonly usesOf: ReadonlyMap<ComponentId, readonly Use[]>;
  readonly useOfNode: { readonly get: (node: TemplateUse) => Use | undefined };
  /** What a name of a file's own module stands for, wherever it is declared. */
  readonly named: (file: FilePath, name: string) => Named;
  readonly pages: readonly Page[];
  /** Stand-ins of constants, functions and hooks that a component names and that hold markup: it shows where the component shows it. */
  readonly holdersOf: (component: Component) => readonly ComponentId[];
  readonly counts: UseCounts;
  /** Configuration files that could not be read; what they would have said counts as absent. */
  readonly unreadConfigs: readonly PlacedProblem[];
};

/** What a name stands for across modules. */
export type Named =
  | { readonly kind: 'component'; readonly id: ComponentId }
  | { readonly kind: 'hook'; readonly file: FilePath; readonly fact: HookFact }
  | { readonly kind: 'context'; readonly id: SharedId }
  /** Anything else that a module of the project declares; `text` where it is one. */
  | {
      readonly kind: 'value';
      readonly file: FilePath;
      readonly name: string;
      readonly span: Span;
      readonly text?: string;
      readonly texts?: Readonly<Record<string, string>>;
      readonly keys?: Readonly<Record<string, readonly KeyPart[]>>;
    }
  | { readonly kind: 'outside'; readonly module: string; readonly name: string }
  | { readonly kind: 'unknown'; readonly reason: string };

/** Of the uses in all templates: to a component of the project, to one outside, and to none that was found. */
export type UseCounts = { readonly resolved: number; readonly outside: number; readonly unresolved: number };

export type ComponentRole = 'page' | 'layout' | 'component' | 'root' | 'route';

/** A component, with what link adds to its facts. `root` and `route` stand for markup of a module. */
export type Component = {
  readonly id: ComponentId;
  readonly name: string;
  readonly file: FilePath;
  readonly framework: Framework;
  readonly facts: ComponentFacts;
  readonly role: ComponentRole;
  readonly fileRole: FileRole;
  /** Others outside the project may use it. */
  readonly isPublic: boolean;
  readonly contract: Contract;
  /** Contexts it takes, by itself or through hooks of the project. */
  readonly consumes: readonly Take[];
  /** What hooks that it calls give to all below it. */
  readonly provides: readonly HookProvide[];
};

/** A component's contract when every file is known. */
export type Contract = {
  readonly members: ReadonlyMap<MemberKey, ContractMember>;
  readonly openness: 'closed' | 'platform' | 'open';
  /** What it is where one member is given as a constant: the alternatives of a union that this tells apart; absent for none. */
  readonly variants?: readonly ContractVariant[];
};

/** The members that hold where the member `by` is given as a constant, as JSON writes it. */
export type ContractVariant = { readonly by: MemberKey; readonly value: string; readonly members: ReadonlyMap<MemberKey, ContractMember> };

export type ContractMember = Omit<MemberFact, 'span' | 'type'> & {
  /** Where it is declared: in the type where there is one, else where it is taken. */
  readonly declared: Location;
  /** The component's own file reads it by name. */
  readonly taken: boolean;
  /** Only some alternatives of its type have it, or have it so: whether it is there depends on other props. */
  readonly mixed?: true;
  /** The kinds of values it takes, as `kindsOf` names them; absent where that cannot be seen. */
  readonly kinds?: ReadonlySet<string>;
};

export type Context = {
  readonly id: SharedId;
  readonly name: string;
  readonly declared: Location;
  readonly fallback: 'none' | 'given' | 'unknown';
  /** Where nobody provides it, all who ask for it are given the same one. */
  readonly isOne?: true;
  /** Calls in functions of modules that give it to a whole application; absent for none. */
  readonly givenBy?: readonly Location[];
};

/** A context that a hook of the project provides for whoever calls it, and the call in the hook that does. */
export type HookProvide = { readonly context: SharedId; readonly at: Location };

export type Take = {
  readonly context: SharedId;
  /** Index of the component's value that holds it, or what was made of it. */
  readonly value: number;
  readonly at: Location;
  /** Hooks it comes through, outermost first. */
  readonly via: readonly string[];
  /** Finding nothing throws, as far as the text tells. */
  readonly needed: boolean;
  /** How far is asked for it; absent for all that stand around. */
  readonly asks?: ValueFact['asks'];
};

export type Target =
  | { readonly kind: 'component'; readonly id: ComponentId; readonly wrapped: boolean }
  | { readonly kind: 'provider' | 'consumer'; readonly context: SharedId }
  /** Declared in the project, made in a way that no reader follows. */
  | { readonly kind: 'opaque'; readonly file: FilePath; readonly name: string }
  | { readonly kind: 'outside'; readonly module: string; readonly name: string }
  /** Held by a value: which one is known only while running. */
  | { readonly kind: 'dynamic' }
  /** `undeclared`: the file itself neither declares nor imports the name. */
  | {
      readonly kind: 'unresolved';
      readonly reason: string;
      readonly undeclared?: true;
      /** What has no such member: a name of the file, or the path of a module. */ readonly memberOf?: string;
    };

export type Use = {
  readonly id: UseId;
  readonly owner: ComponentId;
  readonly file: FilePath;
  readonly node: TemplateUse;
  readonly target: Target;
};

export type Page = {
  /** Stable while file and name are. */
  readonly id: string;
  readonly name: string;
  readonly file: FilePath;
  /** The route's path; empty where there is none. */
  readonly path: string;
  /** Where unfolding starts. */
  readonly entry: ComponentId;
  /** Routes from the outermost to the page's own; unfolding chooses these where several stand. */
  readonly chain: readonly RouteStep[];
  /** Whether all that stands above the page is known. */
  readonly above: 'known' | 'unknown';
  /** What makes it a page: it is mounted, a route leads to it, its file's name does; or it stands alone, and nothing comes to it. */
  readonly why: 'mounted' | 'route' | 'file' | 'alone';
};

/** One route: written as an object (`body` holds its markup), as markup (`use`), or as a file. */
export type RouteStep = {
  readonly path: string;
  readonly body?: ComponentId;
  readonly use?: UseId;
  /** What outlets with a name show where it is shown, and within it; absent for nothing. */
  readonly beside?: readonly NamedOutlet[];
  readonly within?: readonly NamedOutlet[];
};

/** What an outlet with a name shows: always, or where the path is open too. */
export type NamedOutlet = { readonly outlet: string; readonly path?: string; readonly body: ComponentId };
