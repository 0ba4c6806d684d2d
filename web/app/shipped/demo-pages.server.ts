const texts = import.meta.glob<string>(['../../../demo/pages/*.{html,css,json}'], { query: '?raw', import: 'default' });
const pictures = import.meta.glob<string>('../../../demo/pages/*.png', { query: '?inline', import: 'default' });

const nameOf = (path: string): string => path.slice(path.lastIndexOf('/') + 1);

/** Towpath's pages as somebody would save them, and a finished plan of them. */
export async function demoPages(): Promise<{ plan: unknown; files: { file: string; base64: string }[] }> {
  const files: { file: string; base64: string }[] = [];
  let plan: unknown;
  for (const [path, load] of Object.entries(texts)) {
    const text = await load();
    if (path.endsWith('.json')) plan = JSON.parse(text);
    else files.push({ file: nameOf(path), base64: Buffer.from(text, 'utf8').toString('base64') });
  }
  for (const [path, load] of Object.entries(pictures))
    files.push({ file: nameOf(path), base64: (await load()).replace(/^data:[^,]*,/, '') });
  return { plan, files };
}
