import type { Binding, TemplateNode } from '../../model/facts';
import { covers, type FilePath } from '../../model/span';
import type { PlaceIndex } from '../../model/tree';
import { elementText, heardBy } from '../../model/tag-text';
import { walkTemplate } from '../../model/walk';
import { type Frame, isReadFrom } from '../graph/frames';
import type { Graph } from '../graph/graph';
import { codeAt } from '../graph/targets';
import type { FlowQueries } from '../steps/queries';
import type { Subject, SubjectId } from './subject';

/** A listener of an element of a component: what is to run when the platform raises an event there. */
export type Listener = { readonly frame: Frame; readonly tag: string; readonly binding: Binding };

/** What a listener runs: a function, or a setter by itself. */
export type Handler =
  | { readonly kind: 'action'; readonly frame: Frame; readonly action: number }
  | { readonly kind: 'setter'; readonly frame: Frame; readonly state: number };

/** The listeners of a component’s elements, in the order of the text; none for a hook or a module. */
export function listenersOf(frame: Frame): Listener[] {
  const found: Listener[] = [];
  const template: readonly TemplateNode[] = frame.kind === 'component' ? (frame.component?.facts.template ?? []) : [];
  walkTemplate(template, (node) => {
    if (node.kind !== 'element') return;
    for (const binding of node.bindings)
      if (binding.to.kind === 'listener' && (binding.action !== undefined || binding.readings.length > 0))
        found.push({ frame, tag: node.tag, binding });
  });
  return found;
}

/** All that a listener runs by itself, at its place. */
export function handlersOf(ways: FlowQueries, { frame, binding }: Listener): Handler[] {
  if (binding.action !== undefined) return [{ kind: 'action', frame, action: binding.action }];
  return binding.readings.flatMap(({ value, path }) =>
    ways.runs({ frame: frame.index, value, track: path }).flatMap((run): Handler[] => {
      if (run.kind === 'action') return [{ kind: 'action', frame: run.frame, action: run.action }];
      return run.kind === 'setter' ? [{ kind: 'setter', frame: run.frame, state: run.state }] : [];
    }),
  );
}

const labelOf = ({ tag, binding }: Listener): string => `${binding.to.name}.${tag}`;

/**
 * Names a listener so that a link to it still fits after an edit: its component, its event and its element, and which
 * of those that are alike: `src/pages/TodayPage.tsx#TodayPage~!click.button:1`.
 */
export function listenerId(listener: Listener): SubjectId {
  const { frame, binding } = listener;
  const label = labelOf(listener);
  const alike = listenersOf(frame).filter((one) => labelOf(one) === label);
  const nth = alike.findIndex((one) => one.binding === binding);
  return `${frame.file}#${frame.name}~!${label}${nth > 0 ? `:${nth}` : ''}`;
}

/** Whether an id names a listener, and no value. */
export const isListenerId = (id: SubjectId): boolean => id.includes('~!');

/** The listener that an id names, at a place where one is given and fits, else at the first; undefined where there is none any more. */
export function listenerOf({ frames }: Graph, id: SubjectId, place: PlaceIndex = -1): Listener | undefined {
  const [home = '', label] = id.split('~!');
  const fits = (frame: Frame | undefined): frame is Frame =>
    frame?.kind === 'component' && `${frame.file}#${frame.name}` === home && frame.place >= 0;
  const there = place >= 0 ? frames[place] : undefined;
  const frame = fits(there) ? there : frames.find(fits);
  const [name, nth = '0'] = (label ?? '').split(':');
  return frame && listenersOf(frame).filter((one) => labelOf(one) === name)[Number(nth)];
}

/** The listener whose name stands at an offset of a file, at the given place where its component stands there, else at its first. */
export function listenerAt({ frames }: Graph, file: FilePath, offset: number, place: PlaceIndex = -1): Listener | undefined {
  const point = { file, start: offset, end: offset };
  const own = frames.filter((frame) => frame.place >= 0 && isReadFrom(frame, file));
  const asked = own.filter((frame) => frame.place === place);
  for (const frame of [...asked, ...own]) {
    const found = listenersOf(frame).find(({ binding }) => covers(frame.file, binding.nameSpan, point));
    if (found) return found;
  }
  return undefined;
}

/** A listener in words: `click on <button>`. */
export function listenerSubject(listener: Listener): Subject {
  const { frame, tag, binding } = listener;
  return {
    id: listenerId(listener),
    name: `${binding.to.name} on ${elementText(heardBy(tag, binding.to))}`,
    kind: 'listener',
    home: frame.name,
    place: frame.place,
    at: codeAt(frame, binding.span),
  };
}
