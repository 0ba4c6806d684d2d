import type { FileRole } from '../model/model';
import type { FilePath } from '../model/span';

/** Tells tests and stories from the application's own source, by the usual names. */
export function fileRole(file: FilePath): FileRole {
  if (/\.(stories|story|demo)\.\w+$|(^|\/)examples?\.\w+$|(^|\/)(\.storybook|stories|storybook|__examples__|__demo__)\//.test(file))
    return 'story';
  if (/\.(test|spec|cy|e2e|bench)\.\w+$|(^|\/)(__tests__|__mocks__|__fixtures__|tests?|e2e|cypress)\//.test(file)) return 'test';
  return 'source';
}
