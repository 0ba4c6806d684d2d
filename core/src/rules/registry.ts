import type { RuleId } from './ids';
import { contextMissing } from './context/context-missing';
import { eventUnheard } from './events/event-unheard';
import { listUnkeyed } from './lists/list-unkeyed';
import { propCarried } from './redundant/prop-carried';
import { propMissing } from './props/prop-missing';
import { changeUnseen } from './state/change-unseen';
import { channelUnpaired } from './channels/channel-unpaired';
import { componentUnknown } from './names/component-unknown';
import { contextUnread } from './context/context-unread';
import { endlessRender } from './state/endless-render';
import { eventNeverRaised } from './events/event-never-raised';
import { handlerMissing, nameUnknown } from './names/name-unknown';
import { propCopied } from './props/prop-copied';
import { propKind } from './props/prop-kind';
import { propWritten } from './props/prop-written';
import { defaultLacking } from './props/default-lacking';
import { eventStopsShort } from './events/event-stops-short';
import { slotNowhere } from './slots/slot-nowhere';
import { layerCrossed } from './pages/layer-crossed';
import { pageImported } from './pages/page-imported';
import { markupRepeated } from './redundant/markup-repeated';
import { twins } from './redundant/twins';
import { twoTruths } from './state/two-truths';
import { slotShape } from './slots/slot-shape';
import { staleReading } from './state/stale-reading';
import { storeDead } from './state/store-dead';
import { contextShadowed } from './context/context-shadowed';
import { subscriptionKept } from './channels/subscription-kept';
import { twoWayHalf } from './props/two-way-half';
import { propSpelt } from './props/prop-spelt';
import { propUnknown } from './props/prop-unknown';
import { componentCrowded } from './redundant/component-crowded';
import { componentIdle } from './redundant/component-idle';
import { contextClose } from './context/context-close';
import { derivedTwice } from './state/derived-twice';
import { eventIdle } from './events/event-idle';
import { eventRelayed } from './events/event-relayed';
import { flagsMany } from './redundant/flags-many';
import { propIdle } from './props/prop-idle';
import { propUnused } from './props/prop-unused';
import { slotIdle } from './slots/slot-idle';
import { stateTooHigh } from './state/state-too-high';
import { stateTooLow } from './state/state-too-low';
import { storePrivate } from './state/store-private';
import { wrapperEmpty } from './redundant/wrapper-empty';
import { wrapperThin } from './redundant/wrapper-thin';
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
