const texts = import.meta.glob<string>(
  ['../../../demo/*/*/**/*', '!**/node_modules/**', '!**/dist/**', '!**/planted.json', '!**/steps.json'],
  {
    query: '?raw',
    import: 'default',
  },
);

export type DemoFile = { readonly file: string; readonly text: string };

/** The files of a demo that ships with Liana; undefined for one that does not. */
export async function demoFiles(framework: string, edition: string): Promise<DemoFile[] | undefined> {
  const folder = `/demo/${framework}/${edition}/`;
  const paths = Object.keys(texts).filter((path) => path.includes(folder));
  if (paths.length === 0) return undefined;
  return Promise.all(
    paths.map(async (path) => ({ file: path.slice(path.indexOf(folder) + folder.length), text: (await texts[path]?.()) ?? '' })),
  );
}
