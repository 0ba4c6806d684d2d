import type { RuleId } from './catalogue';
import { contextMissing } from './context-missing';
import { eventUnheard } from './event-unheard';
import { listUnkeyed } from './list-unkeyed';
import { propCarried } from './prop-carried';
import { propMissing } from './prop-missing';
import { changeUnseen } from './change-unseen';
import { channelUnpaired } from './channel-unpaired';
import { componentUnknown } from './component-unknown';
import { contextUnread } from './context-unread';
import { endlessRender } from './endless-render';
import { eventNeverRaised } from './event-never-raised';
import { handlerMissing, nameUnknown } from './name-unknown';
import { propCopied } from './prop-copied';
import { propKind } from './prop-kind';
import { propWritten } from './prop-written';
import { defaultLacking } from './default-lacking';
import { eventStopsShort } from './event-stops-short';
import { slotNowhere } from './slot-nowhere';
import { layerCrossed } from './layer-crossed';
import { pageImported } from './page-imported';
import { markupRepeated } from './markup-repeated';
import { twins } from './twins';
import { twoTruths } from './two-truths';
import { slotShape } from './slot-shape';
import { staleReading } from './stale-reading';
import { storeDead } from './store-dead';
import { contextShadowed } from './context-shadowed';
import { subscriptionKept } from './subscription-kept';
import { twoWayHalf } from './two-way-half';
import { propSpelt } from './prop-spelt';
import { propUnknown } from './prop-unknown';
import { componentCrowded } from './component-crowded';
import { componentIdle } from './component-idle';
import { contextClose } from './context-close';
import { derivedTwice } from './derived-twice';
import { eventIdle } from './event-idle';
import { eventRelayed } from './event-relayed';
import { flagsMany } from './flags-many';
import { propIdle } from './prop-idle';
import { propUnused } from './prop-unused';
import { slotIdle } from './slot-idle';
import { stateTooHigh } from './state-too-high';
import { stateTooLow } from './state-too-low';
import { storePrivate } from './store-private';
import { wrapperEmpty } from './wrapper-empty';
import { wrapperThin } from './wrapper-thin';
import type { Rule } from './rule';

/** Every rule by its id; the catalogue has the same ids. */
export const rules: Readonly<Record<RuleId, Rule>> = {
  'prop-missing': propMissing,
  'prop-spelt': propSpelt,
  'prop-unknown': propUnknown,
  'context-missing': contextMissing,
  'event-unheard': eventUnheard,
  'list-unkeyed': listUnkeyed,
  'prop-kind': propKind,
  'two-way-half': twoWayHalf,
  'event-never-raised': eventNeverRaised,
  'event-stops-short': eventStopsShort,
  'handler-missing': handlerMissing,
  'name-unknown': nameUnknown,
  'component-unknown': componentUnknown,
  'slot-nowhere': slotNowhere,
  'slot-shape': slotShape,
  'change-unseen': changeUnseen,
  'channel-unpaired': channelUnpaired,
  'endless-render': endlessRender,
  'prop-copied': propCopied,
  'default-lacking': defaultLacking,
  'prop-written': propWritten,
  'stale-reading': staleReading,
  'subscription-kept': subscriptionKept,
  'context-shadowed': contextShadowed,
  'store-dead': storeDead,
  'page-imported': pageImported,
  'layer-crossed': layerCrossed,
  'two-truths': twoTruths,
  'context-unread': contextUnread,
  'component-idle': componentIdle,
  'wrapper-thin': wrapperThin,
  'prop-carried': propCarried,
  'event-relayed': eventRelayed,
  'store-private': storePrivate,
  'context-close': contextClose,
  'state-too-high': stateTooHigh,
  'state-too-low': stateTooLow,
  'flags-many': flagsMany,
  'derived-twice': derivedTwice,
  'component-crowded': componentCrowded,
  'prop-idle': propIdle,
  'prop-unused': propUnused,
  'event-idle': eventIdle,
  'slot-idle': slotIdle,
  'wrapper-empty': wrapperEmpty,
  twins,
  'markup-repeated': markupRepeated,
};
