import type { FilePath } from '../../model/span';
import type { TagTarget } from '../conventions';

/** Tags that the framework brings. */
export function registeredTags(): (file: FilePath, tag: string) => TagTarget | undefined {
  return (_, tag) => (tag === 'router-outlet' ? { kind: 'outside', module: '@angular/router', name: 'RouterOutlet' } : undefined);
}
