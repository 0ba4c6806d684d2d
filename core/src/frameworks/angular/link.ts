import type { FilePath } from '../../model/span';
import type { TagTarget } from '../conventions';
import { routeOutlet } from './tags';

/** Tags that the framework brings. */
export function registeredTags(): (file: FilePath, tag: string) => TagTarget | undefined {
  return (_, tag) => (routeOutlet.test(tag) ? { kind: 'outside', module: '@angular/router', name: 'RouterOutlet' } : undefined);
}
