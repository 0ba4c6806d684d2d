import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { zipSync } from 'fflate';

export type Files = Readonly<Record<string, string | Uint8Array>>;

/** A small application with one fault in it. */
export const small: Files = {
  'src/main.tsx':
    "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\ncreateRoot(document.body).render(<App />);\n",
  'src/App.tsx':
    "import { useState } from 'react';\nimport { Row } from './Row';\n\nexport function App() {\n  const [boat, setBoat] = useState('Heron');\n  return (\n    <main onClick={() => setBoat('Kettle')}>\n      <Row boat={boat} />\n    </main>\n  );\n}\n",
  'src/Row.tsx':
    'type Props = { boat: string; eta: string };\n\nexport function Row({ boat, eta }: Props) {\n  return (\n    <p>\n      {boat} {eta}\n    </p>\n  );\n}\n',
};

const bytes = (content: string | Uint8Array): Uint8Array => (typeof content === 'string' ? new TextEncoder().encode(content) : content);

/** Writes files to a fresh folder of a given name; its path. */
export function writeFolder(name: string, files: Files): string {
  const folder = path.join(mkdtempSync(path.join(tmpdir(), 'liana-e2e-')), name);
  for (const [file, content] of Object.entries(files)) {
    const target = path.join(folder, file);
    mkdirSync(path.dirname(target), { recursive: true });
    writeFileSync(target, content);
  }
  return folder;
}

export function zip(name: string, files: Files): { name: string; mimeType: string; buffer: Buffer } {
  return {
    name,
    mimeType: 'application/zip',
    buffer: Buffer.from(zipSync(Object.fromEntries(Object.entries(files).map(([file, content]) => [file, bytes(content)])))),
  };
}

/** Opens the first page as a browser that cannot keep a folder's place, so that the folder field is used. */
export async function openHome(page: Page): Promise<void> {
  await page.addInitScript(() => {
    delete (window as { showDirectoryPicker?: unknown }).showDirectoryPicker;
  });
  await page.goto('/');
}

export async function chooseFolder(page: Page, folder: string): Promise<void> {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button', { name: 'Choose a folder' }).click()]);
  await chooser.setFiles(folder);
}

/** An application of many components, for what takes time and what scrolls. */
export function large(components: number, lines = 12): Files {
  const files: Record<string, string> = { ...(small as Record<string, string>) };
  const names = Array.from({ length: components }, (_, at) => `Part${at + 1}`);
  for (const name of names) {
    const body = Array.from(
      { length: lines },
      (_, at) => `  const value${at} = [a, ${at}].filter((one) => one !== ${at}).map((one) => \`\${one} of ${name}\`).join(', ');`,
    ).join('\n');
    files[`src/parts/${name}.tsx`] =
      `import { useState } from 'react';\n\nexport function ${name}({ a, onPick }: { a: string; onPick: (a: string) => void }) {\n  const [open, setOpen] = useState(false);\n${body}\n  return (\n    <p onClick={() => { setOpen(!open); onPick(a); }}>\n      {a} {open && value0}\n    </p>\n  );\n}\n`;
  }
  const uses = names.map((name, at) => `      <${name} a={boat${at % 80}} onPick={() => set${at % 80}('x')} />`).join('\n');
  const states = Array.from({ length: Math.min(80, components) }, (_, at) => `  const [boat${at}, set${at}] = useState('a');`).join('\n');
  files['src/App.tsx'] =
    `import { useState } from 'react';\n${names.map((name) => `import { ${name} } from './parts/${name}';`).join('\n')}\n\nexport function App() {\n${states}\n  return (\n    <main>\n${uses}\n    </main>\n  );\n}\n`;
  return files;
}

/** Chooses an entry of a field, as one would: by what stands in the list. */
export async function choose(page: Page, label: string | RegExp, entry: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: entry, exact: typeof entry === 'string' }).click();
}

/** Does one of the things that a button offers in a list. */
export async function act(page: Page, button: string, entry: string): Promise<void> {
  await page.getByRole('button', { name: button, exact: true }).click();
  await page.getByRole('menuitem', { name: entry, exact: true }).click();
}

/** What a worker runs first, to make it slow: on a quick machine its work would be over before a test stops it. */
export async function slowly(page: Page, worker: string, first: string): Promise<void> {
  await page.route(new RegExp(`${worker}.*\\.js`), async (route) => {
    const response = await route.fetch();
    await route.fulfill({ response, body: `${first}\n${await response.text()}` });
  });
}
