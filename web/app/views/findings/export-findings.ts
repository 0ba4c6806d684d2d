import { getAnalyst } from '../../analysis/client';
import type { StoredTriage } from '../../storage/database';
import { loadLooks, loadPlan } from '../../storage/plans';
import { download, fileName } from '../carve/download';
import { exportPlan } from '../carve/exports';
import type { ExportForm } from './FindingsControls';
import type { Told } from './state';

const endings = { sarif: 'sarif', csv: 'csv', markdown: 'md', json: 'json' } as const;

/** Hands the findings that are shown, or what was decided, to the browser to be saved in one of the forms. */
export async function exportFindings(
  form: ExportForm,
  project: { readonly id: string; readonly name: string },
  triage: StoredTriage,
  shown: readonly Told[],
  tell: (text: string) => void,
): Promise<void> {
  const name = fileName(project.name);
  switch (form) {
    case 'settings':
      return download(
        'liana.config.json',
        [`${JSON.stringify({ rules: triage.rules, twinsFrom: triage.twinsFrom }, undefined, 2)}\n`],
        'application/json',
      );
    case 'project': {
      const { plan, wrong } = await loadPlan(project);
      if (wrong !== undefined) tell(`The plan is not in the file. ${wrong}`);
      return exportPlan('project', project.id, plan, undefined, await loadLooks(project.id), undefined);
    }
    case 'patch': {
      const text = await getAnalyst().patch(
        project.id,
        shown.map(({ finding }) => finding.key),
      );
      if (text === '') return tell('None of the findings shown has a fix that is certain.');
      return download(`${name}.patch`, [text], 'text/x-diff');
    }
    default: {
      const asked = shown.map(({ finding: { key, severity } }) => ({ key, severity }));
      const text = await getAnalyst().exported(project.id, project.name, form, asked, triage.marks);
      return download(`${name}-findings.${endings[form]}`, [text], form === 'csv' ? 'text/csv' : 'text/plain');
    }
  }
}
