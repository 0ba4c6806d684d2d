import { type Plan, planDot, planMarkdown, planMermaid, type Sheet } from '@liana/core';
import { strToU8, zipSync } from 'fflate';
import type { StoredLook } from '../../storage/database';
import { writeProjectFile } from '../../carving/project-file';
import { database } from '../../storage/database';
import { loadTriage } from '../../storage/triage';
import { download, fileName, markedSvg, pngOf } from './download';

export const exportKinds = ['project', 'markdown', 'svg', 'png', 'mermaid', 'dot'] as const;
export type ExportKind = (typeof exportKinds)[number];

export const exportWords: Readonly<Record<ExportKind, string>> = {
  project: 'Project file (.liana.zip)',
  markdown: 'Markdown with pictures (.zip)',
  svg: 'This page with its marks (.svg)',
  png: 'This page with its marks (.png)',
  mermaid: 'Tree as Mermaid (.mmd)',
  dot: 'Tree as DOT (.dot)',
};

/** Writes the plan in one of its forms and hands it to the browser to be saved. */
export async function exportPlan(
  kind: ExportKind,
  projectId: string,
  plan: Plan,
  sheet: Sheet | undefined,
  looks: readonly StoredLook[],
  picture: string | undefined,
): Promise<void> {
  const name = fileName(plan.name);
  switch (kind) {
    case 'project':
      return download(
        `${name}.liana.zip`,
        [writeProjectFile(plan, looks, await database.texts.where({ projectId }).toArray(), await loadTriage(projectId))],
        'application/zip',
      );
    case 'markdown': {
      const svg = sheet && markedSvg(plan, sheet, picture);
      const text = planMarkdown(plan, (one) => (one.id === sheet?.id ? 'page.svg' : undefined));
      return download(
        `${name}-plan.zip`,
        [zipSync({ 'plan.md': strToU8(text), ...(svg ? { 'page.svg': strToU8(svg) } : {}) }) as Uint8Array<ArrayBuffer>],
        'application/zip',
      );
    }
    case 'svg':
      if (sheet) download(`${name}.svg`, [markedSvg(plan, sheet, picture)], 'image/svg+xml');
      return;
    case 'png':
      if (sheet) download(`${name}.png`, [await pngOf(markedSvg(plan, sheet, picture), sheet)], 'image/png');
      return;
    case 'mermaid':
      return download(`${name}.mmd`, [planMermaid(plan)], 'text/plain');
    case 'dot':
      return download(`${name}.dot`, [planDot(plan)], 'text/plain');
  }
}
