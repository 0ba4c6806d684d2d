import type { FileFacts } from '../model/facts';
import {
  declaredForAll,
  importedForEffects,
  listenedNames,
  listenersOnPage,
  loadedLater,
  namesOpenedOutside,
  namesReadOutside,
  namesSetOutside,
  openedNames,
  propsReadOutside,
  unmentionedProps,
} from '../read/mentions';
import type { Beside } from '../read/elements/unit';
import { tooDeep } from '../read/script/parse';
import { noFacts } from '../model/no-facts';
import { directoryOf } from '../model/paths';
import type { FilePath } from '../model/span';
import { filesBeside, readerOf, traitsOf } from './registry';
import { messageOf } from '../model/message-of';

/** What is told by the text as a whole, whatever its framework. */
function withMentions(facts: FileFacts, text: string): FileFacts {
  const effects = text.includes('import') ? importedForEffects(text) : [];
  const later = /import\s*\(|\.glob|require/.test(text) ? loadedLater(text) : [];
  const listens = text.includes('addEventListener') ? listenedNames(text) : [];
  // A component reads its own.
  const listensOn = facts.components.length === 0 ? listenersOnPage(text) : [];
  const readsProps = text.includes('.props') ? propsReadOutside(text) : [];
  const holds = traitsOf(facts).areElements || /querySelector|createElement|getElementById|shadowRoot/.test(text);
  const sets = holds || traitsOf(facts).selectors ? namesSetOutside(text) : [];
  const bySelectors = traitsOf(facts).selectors === true;
  const asks = bySelectors ? [...namesReadOutside(text), ...namesOpenedOutside(text)] : holds ? namesReadOutside(text) : [];
  const components = facts.components.map((component) => {
    // What is written in several files tells by its class.
    const unmentioned =
      component.element || component.selected
        ? (component.unmentioned ?? [])
        : unmentionedProps(component, traitsOf(facts).propsByDeclaration, text);
    const own = component.form === 'file' ? text : text.slice(component.span.start, component.span.end);
    return { ...component, lines: own.split('\n').length, ...(unmentioned.length > 0 ? { unmentioned } : {}) };
  });
  const declares = /\.d\.[cm]?ts$/.test(facts.file) || /\bdeclare\s+(global|const|let|var|function)\b/.test(text);
  const names = [...(facts.globalNames ?? []), ...(declares ? declaredForAll(text) : [])];
  const opened = openedNames(text);
  const given = { ...(names.length > 0 ? { globalNames: names } : {}), ...(opened.length > 0 ? { opened } : {}) };
  return {
    ...facts,
    components,
    ...given,
    ...(effects.length > 0 ? { effects } : {}),
    ...(later.length > 0 ? { later } : {}),
    ...(/\bregisterModule\s*\(/.test(text) ? { addsStoreParts: true as const } : {}),
    ...(listens.length > 0 ? { listens } : {}),
    ...(listensOn.length > 0 ? { listensOn } : {}),
    ...(readsProps.length > 0 ? { readsProps } : {}),
    ...(sets.length > 0 ? { sets } : {}),
    ...(asks.length > 0 ? { asks } : {}),
  };
}

/**
 * The facts of one file, read with those beside it (`filesBeside`). Never throws: a file that cannot be read gives
 * its problems and whatever could still be read.
 */
export function readFile(file: string, text: string, beside: Beside = []): FileFacts {
  const reader = readerOf(file, () => text);
  const empty = noFacts(file);
  if (!reader) return empty;
  try {
    return withMentions(reader.read(file, text, beside), text);
  } catch (error) {
    const message = error instanceof RangeError ? tooDeep : `Liana could not read this file: ${messageOf(error)}`;
    return { ...empty, problems: [{ message, start: 0, end: Math.min(1, text.length) }] };
  }
}

/** The files of a project by the folders in which they stand: what may be read with one stands beside it. */
export function byFolder(files: Iterable<FilePath>): (file: FilePath) => readonly FilePath[] {
  const folders = new Map<string, FilePath[]>();
  for (const file of files) {
    const known = folders.get(directoryOf(file));
    if (known) known.push(file);
    else folders.set(directoryOf(file), [file]);
  }
  return (file) => folders.get(directoryOf(file)) ?? [];
}

/** The facts of all files of a project, by file. */
export function readFiles(sources: readonly { readonly file: FilePath; readonly text: string }[]): Map<FilePath, FileFacts> {
  const texts = new Map(sources.map(({ file, text }) => [file, text]));
  const around = byFolder(texts.keys());
  return new Map(
    sources.map(({ file, text }) => {
      const beside = filesBeside(file, around(file)).map((one) => ({ file: one, text: texts.get(one) ?? '' }));
      return [file, readFile(file, text, beside)];
    }),
  );
}
