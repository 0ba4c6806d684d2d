import type { FilePath } from '../../model/span';
import { bodyOf, useOfFile } from '../placed';
import type { PlacedPage, Project } from '../conventions';

const page = /^(?:.*\/)?src\/pages\/(.+)\.(?:astro|mdx?|html)$/;

/** The address of a page by where its file stands: `locks/[id]` → `/locks/:id`. */
function pathOf(below: string): string {
  const parts = below
    .split('/')
    .map((one) => one.replace(/\[(?:\.\.\.)?([^\]]*)\]/g, ':$1'))
    .filter((one, index, all) => !(one === 'index' && index === all.length - 1));
  return `/${parts.join('/')}`;
}

/** The pages of a project: files in a folder of that name, but for those whose names or folders begin with a line. */
export function placedPages({ files }: Project): PlacedPage[] {
  return [...files].flatMap(
    ([file, facts]: readonly [FilePath, { readonly framework: string; readonly components: readonly unknown[] }]) => {
      const below = page.exec(file)?.[1];
      if (below === undefined || facts.framework !== 'astro' || facts.components.length === 0 || /(?:^|\/)_/.test(below)) return [];
      return [{ file, path: pathOf(below), body: bodyOf([useOfFile(file, file, [])]) }];
    },
  );
}
