import { propKey } from '../model/member';
import type { ComponentFacts, MemberFact, RaiseFact, Reading } from '../model/facts';
import type { Writable } from '../model/writable';
import { eventsOf } from './markup/contract';
import { noteSpreadKeys } from './markup/spread-keys';
import type { Span } from '../model/span';
import { addAction, type Body, finishBody } from './script/body';

/** What a reader tells of a component once its body has been read to its end. */
export type ReadComponent = Pick<
  ComponentFacts,
  'name' | 'local' | 'span' | 'nameSpan' | 'form' | 'openness' | 'through' | 'template' | 'slots' | 'members'
> &
  Partial<
    Pick<
      ComponentFacts,
      | 'propsType'
      | 'eventsType'
      | 'undeclared'
      | 'absent'
      | 'lookUps'
      | 'namesElements'
      | 'mixins'
      | 'registersTags'
      | 'saidName'
      | 'wrappedBy'
      | 'memo'
      | 'followsAssignment'
    >
  > & {
    /** The event that a callback is for. */
    readonly eventName: (member: MemberFact) => string;
    /** What a handle on the component gives, beside what the body tells. */
    readonly exposes?: readonly Reading[];
  };

/**
 * Puts the facts of a component together, in every framework; what is empty is left out. `read` is asked when the
 * functions of the body have been read too, with all that these raise.
 */
export function assembleComponent(body: Body, read: (raises: readonly RaiseFact[]) => ReadComponent): ComponentFacts {
  const { values, actions, endings, vainEndings, toldByConstants } = finishBody(body);
  const raises = raisesOf(body);
  const { eventName, exposes = [], ...told } = read(raises);
  addChangesWhileShown(body);
  const own = { ...told, members: [...told.members, ...readOfRest(body, told.members)] };
  const facts: Writable<ComponentFacts> = {
    wrappedBy: [],
    ...own,
    values,
    actions,
    events: eventsOf(raises, own.members, eventName),
    clones: body.clones,
  };
  const given = [...exposes, ...body.exposes];
  if (given.length > 0) facts.exposes = given;
  noteSpreadKeys(body, facts.template);
  if (body.again.length > 0) facts.again = body.again;
  if (body.raisesUnseen) facts.raisesUnseen = true;
  if (endings) facts.endings = endings;
  if (vainEndings) facts.vainEndings = vainEndings;
  if (toldByConstants) facts.toldByConstants = toldByConstants;
  return facts;
}

/**
 * Adds what changes the inside of something given by computing or showing it, `given.sort()` in the markup or in a
 * computed value: such an expression is no action, and runs whenever the component shows.
 */
function addChangesWhileShown(body: Body): void {
  const isOf = (span: Span): boolean => body.actions.some(({ changes }) => changes.some((one) => one.span.start === span.start));
  const within = ({ start, end }: Span): boolean =>
    body.actions.some(({ kind, span }) => kind !== 'render' && span.start <= start && end <= span.end);
  for (const change of body.givenChanged) {
    if (isOf(change.span) || within(change.span)) continue;
    const action = body.actions[addAction(body, 'while rendering', 'render', change.span)];
    if (action) action.changes = [change];
  }
}

/** Members that nothing declares and that the body reads of what remains of its props. */
function readOfRest({ restNames, dialect }: Body, declared: readonly MemberFact[]): MemberFact[] {
  return [...restNames].flatMap(([name, span]): MemberFact[] => {
    const key = dialect.memberOfProp?.(name) ?? propKey(name);
    return declared.some((one) => one.key === key) ? [] : [{ key, name, span, kind: 'value', required: 'no' }];
  });
}

/** What a body raises, by its functions and by what it attaches; each call once for each member. */
function raisesOf(body: Body): RaiseFact[] {
  const seen = new Set<string>();
  return [...body.actions.flatMap((action) => action.raises), ...body.attached].filter(({ member, span }) => {
    const key = `${member} ${span.start}`;
    return !seen.has(key) && seen.add(key);
  });
}
