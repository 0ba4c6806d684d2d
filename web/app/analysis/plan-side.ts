import {
  analyse,
  isConfig,
  loadCompilers,
  type PageTree,
  readPage,
  type SheetId,
  type Side,
  skeletonOf,
  skeletonWriters,
} from '@liana/core';
import { lookText } from '../carving/look-text';
import { database } from '../storage/database';
import { loadPlan } from '../storage/plans';

/**
 * The plan of a project as a side of a comparison: the code that its skeleton would be, in the first of some frameworks that
 * one can be written in. Throws where the plan cannot be read or has no parts.
 */
export async function planSide(projectId: string, frameworks: readonly string[]): Promise<Side> {
  const { plan, wrong } = await loadPlan({ id: projectId, name: '' });
  if (wrong !== undefined) throw new Error(`The plan cannot be read: ${wrong}`);
  if (plan.parts.length === 0) throw new Error('The plan has no parts. Mark some in Carve.');
  const looks = await database.looks.where({ projectId }).toArray();
  const pages = new Map(
    plan.sheets.flatMap((sheet): [SheetId, PageTree][] => {
      const look = sheet.kind === 'html' ? looks.find(({ file }) => file === sheet.file) : undefined;
      return look ? [[sheet.id, readPage(lookText(look))]] : [];
    }),
  );
  const ofProject = frameworks.flatMap((framework) => skeletonWriters.find((one) => one.framework === framework) ?? []);
  const [writer] = [...ofProject, ...skeletonWriters];
  const files = writer?.write(skeletonOf(plan, pages)) ?? [];
  await loadCompilers(files);
  const { model, findings } = analyse(
    files.filter(({ file }) => !isConfig(file)),
    files.filter(({ file }) => isConfig(file)),
  );
  const texts = new Map(files.map(({ file, text }) => [file, text]));
  return { model, findings, textOf: (file) => texts.get(file) };
}
