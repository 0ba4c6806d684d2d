import { nameOfKey } from '../../../model/context-key';
import { memberKeyOf } from '../../../model/given';
import { isSlotKey, type MemberKey, memberName } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { Frame } from '../../graph/frames';
import { nameInModule } from '../../graph/stores';
import { slotLabel } from '../../graph/targets';
import type { Knot } from './links';
import type { Making } from './making';
import { effectName, listeningWords } from './words';

const memberText = (frame: Frame, key: MemberKey): string => (isSlotKey(key) ? slotLabel(frame, key) : memberName(key));

/** What people call what a row stands for. */
export function nameOfKnot({ frame }: Making, knot: Knot): string {
  const { body } = frame;
  switch (knot.kind) {
    case 'value': {
      const value = body.values[knot.value];
      if (frame.kind === 'module') return nameInModule(body, knot.value);
      if (value?.kind === 'context' && value.name === value.source) return nameOfKey(value.source);
      return value?.kind === 'prop' ? memberText(frame, memberKeyOf(value)) : (value?.name ?? '');
    }
    case 'member':
    case 'event':
      return memberText(frame, knot.member);
    case 'effect':
      return effectName(body.actions[knot.action]);
    case 'trigger': {
      const named = knot.action !== undefined && body.values.some(({ kind, action }) => kind === 'function' && action === knot.action);
      const name = named ? (body.actions[knot.action ?? -1]?.name ?? '') : '';
      return name === '' ? listeningWords(knot.on) : name;
    }
    case 'given':
      return { caller: 'gives back', below: 'provides', handle: 'exposes' }[knot.to];
    case 'markup':
      return knot.node.kind === 'repeat' ? knot.node.item : '';
  }
}

/** Where that is written. */
export function spanOf({ frame }: Making, knot: Knot): Span {
  const { body } = frame;
  switch (knot.kind) {
    case 'value':
      return body.values[knot.value]?.span ?? { start: 0, end: 0 };
    case 'effect':
      return body.actions[knot.action]?.span ?? { start: 0, end: 0 };
    case 'trigger':
      return knot.on[0]?.binding.span ?? { start: 0, end: 0 };
    case 'given':
      return knot.readings[0]?.span ?? { start: 0, end: 0 };
    case 'markup':
      return knot.node.span;
    case 'member':
    case 'event': {
      const declared = frame.component?.contract.members.get(knot.member)?.declared;
      return declared ?? frame.component?.facts.nameSpan ?? { start: 0, end: 0 };
    }
  }
}

/** Where something stands, so that what is read from several files keeps their order: its own file first, markup last. */
export function startOf(making: Making, knot: Knot): number {
  if (knot.kind === 'markup') return 2e7 + knot.nth;
  const { file, start } = spanOf(making, knot);
  return start + (file === undefined || file === making.frame.file ? 0 : 1e7);
}
