import { traitsOf } from '../../frameworks/registry';
import type { MemberKey } from '../../model/member';
import type { Component } from '../../model/model';

/** A slot whose name is put together while running may be any; where slots are chosen by selectors, none is. */
export const isDynamic = (component: Component, key: MemberKey): boolean => !traitsOf(component).selectors && /[[\]{}$*]/.test(key);
