import { data } from 'react-router';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import { ComparisonView } from '../views/overlap/ComparisonView';
import { LikenessMap } from '../views/overlap/LikenessMap';
import { parseOverlapState } from '../views/overlap/state';
import type { Route } from './+types/overlap';

export const meta: Route.MetaFunction = () => [{ title: 'Overlap · Liana' }];

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  const { pair, from, names } = parseOverlapState(new URL(request.url).searchParams);
  if (!pair) return { project, from, alike: await getAnalyst().alike(project.id, from / 100) };
  const compared = await getAnalyst().compared(project.id, pair[0], pair[1], names);
  if (!compared) throw data('One of these components is not in the project any more. It may have been renamed or moved.', { status: 404 });
  return { project, from, compared };
}

export default function Overlap({ loaderData }: Route.ComponentProps) {
  if (!loaderData) return null;
  const { project, from, alike, compared } = loaderData;
  if (compared) return <ComparisonView project={project} compared={compared} />;
  return alike ? <LikenessMap project={project} alike={alike} from={from} /> : null;
}
