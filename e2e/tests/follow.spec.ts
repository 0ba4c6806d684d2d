import { expect, type Page, test } from '@playwright/test';
import { small } from '../sources';

/** A folder that the browser keeps, in place of one that a person chooses. */
async function withFolder(page: Page, files: Readonly<Record<string, string | Uint8Array>>): Promise<void> {
  await page.goto('/');
  await page.evaluate(
    async (entries) => {
      const root = await navigator.storage.getDirectory();
      const folder = await root.getDirectoryHandle('boats', { create: true });
      for (const [file, text] of entries) {
        const parts = file.split('/');
        let at = folder;
        for (const part of parts.slice(0, -1)) at = await at.getDirectoryHandle(part, { create: true });
        const writable = await (await at.getFileHandle(parts.at(-1) ?? '', { create: true })).createWritable();
        await writable.write(text);
        await writable.close();
      }
      Object.assign(window, { showDirectoryPicker: async () => folder });
    },
    Object.entries(files) as [string, string][],
  );
}

/** Writes one file of the folder anew, or takes it away. */
async function write(page: Page, file: string, text: string | undefined): Promise<void> {
  await page.evaluate(
    async ([name, content]) => {
      const root = await navigator.storage.getDirectory();
      const at = await (await root.getDirectoryHandle('boats')).getDirectoryHandle('src');
      if (content === undefined) return at.removeEntry(name);
      const writable = await (await at.getFileHandle(name, { create: true })).createWritable();
      await writable.write(content);
      return writable.close();
    },
    [file, text] as const,
  );
}

const app = String(small['src/App.tsx']);

test('a folder that is followed is read while one edits', async ({ page }) => {
  await withFolder(page, small);
  await page.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Findings/ })).toContainText('1');
  await page.getByRole('button', { name: 'Follow', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Following' })).toBeVisible();

  await write(page, 'App.tsx', app.replace('boat={boat}', 'boat={boat} eta="9:10"'));
  await expect(page.getByRole('link', { name: 'Findings', exact: true })).toBeVisible();

  await write(page, 'Mast.tsx', 'export function Mast() {\n  return <i>mast</i>;\n}\n');
  await write(
    page,
    'App.tsx',
    app
      .replace("import { Row } from './Row';", "import { Row } from './Row';\nimport { Mast } from './Mast';")
      .replace('<Row boat', '<Mast />\n      <Row boat'),
  );
  await expect(page.getByRole('treeitem', { name: /^Mast/ })).toBeVisible();

  await write(page, 'Mast.tsx', undefined);
  await write(page, 'App.tsx', app);
  await expect(page.getByRole('treeitem', { name: /^Mast/ })).toBeHidden();

  await page.getByRole('button', { name: 'Following' }).click();
  await expect(page.getByRole('button', { name: 'Follow', exact: true })).toBeVisible();
});

test('a kept folder is read again without being chosen, and says it when it is gone', async ({ page }) => {
  await withFolder(page, small);
  await page.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  await write(page, 'App.tsx', app.replace('boat={boat}', 'boat={boat} eta="9:10"'));
  await page.getByRole('link', { name: 'Liana, all projects' }).click();
  await page.getByRole('button', { name: 'Read again' }).click();
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Findings', exact: true })).toBeVisible();

  await page.evaluate(async () => (await navigator.storage.getDirectory()).removeEntry('boats', { recursive: true }));
  await page.getByRole('button', { name: 'Follow', exact: true }).click();
  await expect(page.getByText(/^The folder is not followed any more/)).toBeVisible();
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
});
