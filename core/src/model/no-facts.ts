import type { FileFacts } from './facts';
import type { FilePath } from './span';

/** What is told of a file of which nothing is read. */
export const noFacts = (file: FilePath): FileFacts => ({
  file,
  framework: 'script',
  problems: [],
  imports: [],
  exports: [],
  types: [],
  components: [],
  shared: [],
  roots: [],
  routes: [],
  ambient: [],
  aliases: [],
  makers: [],
});
