import type { FileFacts } from '../model/facts';
import type { Framework } from '../model/framework';
import type { SkeletonWriter } from '../model/skeleton';
import type { FilePath } from '../model/span';
import type { Beside } from '../read/elements/unit';
import type { LinkConventions } from './conventions';
import type { Traits } from './traits';
import type { Writer } from './writer';

/** A framework as one value: how its files are read, what it links by convention, what it does at run time. */
export type Adapter = {
  readonly id: Framework;
  /** As people write it. */
  readonly name: string;
  /** Files that are its own by their names; absent where it has none. */
  readonly files?: RegExp;
  /** Packages of its own, by which a script says for sure that it belongs to it, whatever else it imports. */
  readonly ownPackages: RegExp;
  /** Whether a script belongs to it that imports none of those of any framework; absent where it reads no scripts. */
  readonly readsScript?: (file: FilePath, text: string) => boolean;
  /** The facts of one of its files or scripts, read with those beside it. May throw; the parser of its own files was loaded before. */
  readonly read: (file: FilePath, text: string, beside: Beside) => FileFacts;
  /** The files that are read with one of its own or its scripts, of those in its folder; absent where each is read alone. */
  readonly beside?: (file: FilePath, all: Iterable<FilePath>) => readonly FilePath[];
  /** Whether a file of another name needs its parser; absent where only its own files do. */
  readonly needs?: (file: FilePath, text: string) => boolean;
  /** Whether one of its files by name is its own by its text; absent where the name alone tells. */
  readonly isOwn?: (file: FilePath, text: string) => boolean;
  /** Fetches the parser of its own files. */
  readonly load: () => Promise<void>;
  /** Parses one of its own files and throws the result away. Throws where it cannot be parsed. */
  readonly parseBare: (file: FilePath, text: string) => void;
  readonly link: LinkConventions;
  readonly traits: Traits;
  readonly write: Writer;
  /** Writes the skeleton of a plan; absent where nobody has written that yet. */
  readonly skeleton?: SkeletonWriter;
};

export type { LinkConventions, Traits, Writer };
