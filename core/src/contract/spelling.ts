import { adapterOf } from '../frameworks/registry';
import type { Framework } from '../model/framework';
import type { MemberKey } from '../model/member';

/** A member as markup of its component's framework names it, for sentences: `onBook`, `@book`, `on:book`, `#row`. */
export function spelling({ framework }: { readonly framework: Framework }, key: MemberKey): string {
  return adapterOf(framework).write.member(key);
}
