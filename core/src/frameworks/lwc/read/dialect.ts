import type { Dialect } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';

/** What the reading of expressions must know of this framework. */
export const lwcDialect: Dialect = { ...channelDialect, raisesOnSelf: true, propsWritable: true };
