import type { TextEdit } from '../model/finding';
import type { Component, Model } from '../model/model';
import type { FilePath, Span } from '../model/span';
import { type Source, sourceOf } from './source';

/** A change cannot be written with certainty; the message says why, as a sentence. */
export class CannotWrite extends Error {}

export type ReadText = (file: FilePath) => string | undefined;

/** A name that a file will have to import. */
export type Needed = { readonly source: Source; readonly name: string; readonly from: string };

/** Collects the edits of one change over several files. */
export class Rewrite {
  private readonly made: TextEdit[] = [];
  private readonly sources = new Map<FilePath, Source>();
  private readonly needed: Needed[] = [];

  constructor(
    readonly model: Model,
    private readonly textOf: ReadText,
  ) {}

  /** The file of a component, or another one of its framework. Throws where it is not at hand. */
  source(component: Component, file: FilePath = component.file): Source {
    if (component.facts.files?.some((one) => one !== component.file))
      throw new CannotWrite(`${component.name} stands in several files, which is not written yet.`);
    const known = this.sources.get(file);
    if (known) return known;
    const text = this.textOf(file);
    if (text === undefined) throw new CannotWrite(`${file} is not at hand.`);
    const source = sourceOf(file, text, component.framework);
    if (source.program.body.length === 0 && /\S/.test(text) && !/\.(?:vue|svelte)$/.test(file))
      throw new CannotWrite(`${file} cannot be parsed.`);
    this.sources.set(file, source);
    return source;
  }

  /** Whether a file of this name is there already. */
  has(file: FilePath): boolean {
    return this.model.files.has(file) || this.textOf(file) !== undefined;
  }

  /** An edit with the line ends of its file; a new file has those of the others. */
  private inOwnLines(edit: TextEdit): TextEdit {
    const { text } = this.sources.get(edit.file) ?? this.opened()[0] ?? { text: '' };
    return /\r\n/.test(text) ? { ...edit, text: edit.text.replace(/\r?\n/g, '\r\n') } : edit;
  }

  put({ file, text }: Source, { start, end }: Span, to: string): void {
    this.made.push(this.inOwnLines({ file, start, end, was: text.slice(start, end), text: to }));
  }

  insert(source: Source, at: number, text: string): void {
    this.put(source, { start: at, end: at }, text);
  }

  /** Puts a text before all else that is put in at the same place. */
  insertFirst({ file }: Source, at: number, text: string): void {
    this.made.unshift(this.inOwnLines({ file, start: at, end: at, was: '', text }));
  }

  /** A file that is not there yet. */
  create(file: FilePath, text: string): void {
    this.made.push(this.inOwnLines({ file, start: 0, end: 0, was: '', text }));
  }

  /** Asks for a name to be imported; what a file imports already is not imported again. */
  need(source: Source, name: string, from: string): void {
    this.needed.push({ source, name, from });
  }

  get imports(): readonly Needed[] {
    return this.needed;
  }

  /** Tries a way; where it cannot be written, what it did is taken back. */
  attempt(way: () => void): boolean {
    const [made, needed] = [this.made.length, this.needed.length];
    try {
      way();
      return true;
    } catch (error) {
      if (!(error instanceof CannotWrite)) throw error;
      this.made.length = made;
      this.needed.length = needed;
      return false;
    }
  }

  /** The edits that something makes. */
  recorded(run: () => void): readonly TextEdit[] {
    const from = new Set(this.made);
    run();
    return this.made.filter((edit) => !from.has(edit));
  }

  editsOf(file: FilePath): readonly TextEdit[] {
    return this.made.filter((edit) => edit.file === file);
  }

  opened(): readonly Source[] {
    return [...this.sources.values()];
  }

  /** All edits. Throws where two of them lie over each other. */
  edits(): readonly TextEdit[] {
    for (const file of new Set(this.made.map((edit) => edit.file))) {
      const sorted = [...this.editsOf(file)].sort((a, b) => a.start - b.start || a.end - b.end);
      for (const [at, edit] of sorted.entries()) {
        const next = sorted[at + 1];
        if (next && next.start < edit.end) throw new CannotWrite(`Two of the changes in ${file} lie over each other.`);
      }
    }
    return this.made;
  }
}
