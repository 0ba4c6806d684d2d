import type { PlacedProblem } from '../model/facts';
import type { Model } from '../model/model';

/** All that could not be read of a project, and what could not be checked of it: file by file, then configuration, then checks. */
export function problemsOf(model: Model, failures: readonly PlacedProblem[] = []): PlacedProblem[] {
  const ofFiles = [...model.files.values()].flatMap(({ file, problems }) =>
    problems.map(({ message, start, end }) => ({ file, message, start, end })),
  );
  return [...ofFiles, ...model.unreadConfigs, ...failures];
}
