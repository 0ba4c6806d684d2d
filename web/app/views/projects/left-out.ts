import type { Project } from '../../storage/database';

const reasonWords: Readonly<Record<string, string>> = {
  dependencies: 'dependencies',
  'build output': 'build output',
  'version control': 'version control',
  ignored: 'named by .gitignore',
  'other kind': 'of other kinds',
  'too large': 'too large',
};

/** What was not read of a project, in one sentence; empty when nothing was left out. */
export function leftOutWords(project: Pick<Project, 'leftOut' | 'refused'>): string {
  const parts = Object.entries(project.leftOut)
    .filter(([, count]) => count > 0)
    .map(([reason, count]) => `${count.toLocaleString('en')} ${reasonWords[reason] ?? reason}`);
  const left = parts.length > 0 ? `Left out: ${parts.join(', ')}.` : '';
  const [first] = project.refused;
  const refused = first
    ? ` Not readable: ${first.file} (${first.reason})${project.refused.length > 1 ? ` and ${project.refused.length - 1} more` : ''}.`
    : '';
  return left + refused;
}
