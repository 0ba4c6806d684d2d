import type { ComponentFacts, SharedFact } from '../../model/facts';
import type { FilePath, Location } from '../../model/span';

/** Who is meant by a name. */
export type Meant =
  | { readonly kind: 'component'; readonly file: FilePath; readonly facts: ComponentFacts; readonly wrapped: boolean }
  | { readonly kind: 'shared'; readonly file: FilePath; readonly fact: SharedFact }
  | { readonly kind: 'namespace'; readonly file: FilePath }
  | { readonly kind: 'outside'; readonly module: string; readonly name: string }
  | { readonly kind: 'unresolved'; readonly reason: string; readonly undeclared?: true; readonly memberOf?: string };

/** A name of what is loaded later: `import:./Chart#Chart,default`, the module and the names under which it may give a component. */
export const laterName = /^import:(.*)#(.*)$/;

/** A component that a name stands for. */
export type MeantComponent = Extract<Meant, { kind: 'component' }>;

/** A context that is known by a key: a text, or what a name of some module stands for. */
export type KeyedContext = {
  readonly kind: 'shared';
  readonly file: FilePath;
  readonly fact: Extract<SharedFact, { kind: 'context' }>;
  /** Calls in functions of modules that give it to a whole application. */
  readonly givenBy?: readonly Location[];
};

/** What a name that may be dotted stands for in a file; `depth` counts the names that led to it. */
export type Local = (file: FilePath, dotted: string, depth: number) => Meant;

/** The answer where names refer to each other without an end. */
export const tooDeep: Meant = { kind: 'unresolved', reason: 'its exports refer to each other' };
