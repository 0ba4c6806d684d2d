import { pascalCase } from './case';
import { kebab } from './case';
import type { Skeleton, SkeletonFile } from '../model/skeleton';

/** Attributes of the document's outermost elements, as HTML writes them. */
export const documentAttributes = (attributes: Readonly<Record<string, string>>): string =>
  Object.entries(attributes)
    .filter(([name]) => /^(class|lang|dir|data-[\w-]+)$/.test(name) && name !== 'data-group')
    .map(([name, value]) => ` ${name}="${value.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;')}"`)
    .join('');

/** What an application of a skeleton needs in each framework. */
export type FrameWords = {
  /** The script that mounts the page. */
  readonly main: string;
  readonly dependencies: Readonly<Record<string, string>>;
  readonly devDependencies: Readonly<Record<string, string>>;
  readonly compilerOptions: Readonly<Record<string, unknown>>;
  readonly vite: string;
  /** The command that builds it. */
  readonly build: string;
};

/** The style of the pages; without one a frame around each part, so that it can be seen. */
export const styleFile = ({ style }: Skeleton): SkeletonFile => ({
  file: 'src/page.css',
  text: style === '' ? 'main, div { display: grid; gap: 8px; padding: 8px; border: 1px solid #ccc; }\n' : `${style}\n`,
});

export const packageName = (skeleton: Skeleton): string => kebab(pascalCase(skeleton.name) || 'skeleton');

/** The files around the parts: the document, the settings, the style of the pages. */
export function frameFiles(skeleton: Skeleton, words: FrameWords): SkeletonFile[] {
  const script = `src/${words.main}`;
  return [
    {
      file: 'index.html',
      text: `<!doctype html>\n<html${documentAttributes(skeleton.root)}>\n  <head>\n    <meta charset="utf-8" />\n    <title>${skeleton.name.replace(/[<&]/g, '')}</title>\n  </head>\n  <body${documentAttributes(skeleton.body)}>\n    <div id="root"></div>\n    <script type="module" src="/${script}"></script>\n  </body>\n</html>\n`,
    },
    {
      file: 'package.json',
      text: json({
        name: packageName(skeleton),
        private: true,
        type: 'module',
        scripts: { dev: 'vite', build: words.build },
        dependencies: words.dependencies,
        devDependencies: { ...words.devDependencies, typescript: '~5.9.0', vite: '^7.0.0' },
      }),
    },
    {
      file: 'tsconfig.json',
      text: json({
        compilerOptions: {
          target: 'ES2022',
          lib: ['ES2023', 'DOM', 'DOM.Iterable'],
          module: 'ESNext',
          moduleResolution: 'bundler',
          strict: true,
          noEmit: true,
          skipLibCheck: true,
          types: ['vite/client'],
          ...words.compilerOptions,
        },
        include: ['src'],
      }),
    },
    { file: 'vite.config.ts', text: words.vite },
    styleFile(skeleton),
  ];
}

export const json = (value: unknown): string => `${JSON.stringify(value, undefined, 2)}\n`;

/** The code that chooses which page is shown: `show` writes a page in the framework’s words. */
export function choice(skeleton: Skeleton, show: (page: string) => string): { readonly asks: string[]; readonly shown: string } {
  const [first, ...more] = skeleton.parts.filter((part) => part.role === 'page').map((part) => part.name);
  return {
    asks:
      more.length > 0
        ? [`// ?page=${more[0] ?? ''} shows another page.`, `const asked = new URLSearchParams(location.search).get('page');`]
        : [],
    shown: more.reduceRight((otherwise, page) => `asked === '${page}' ? ${show(page)} : ${otherwise}`, first ? show(first) : 'null'),
  };
}
