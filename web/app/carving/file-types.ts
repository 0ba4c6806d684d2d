const pictureTypes: Readonly<Record<string, string>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  avif: 'image/avif',
  gif: 'image/gif',
  svg: 'image/svg+xml',
};
const otherTypes: Readonly<Record<string, string>> = {
  html: 'text/html',
  htm: 'text/html',
  css: 'text/css',
  woff: 'font/woff',
  woff2: 'font/woff2',
  ttf: 'font/ttf',
};
const ending = (file: string): string => (/\.(\w+)$/.exec(file)?.[1] ?? '').toLowerCase();
/** The media type of a file of a page, by its name's ending; empty for what no page is made of. */
export const typeOf = (file: string): string => pictureTypes[ending(file)] ?? otherTypes[ending(file)] ?? '';
