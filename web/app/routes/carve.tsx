import { data } from 'react-router';
import { useUrlParams } from '../parts/useUrlParams';
import { getProject } from '../storage/projects';
import { loadAside, loadLooks, loadPlan } from '../storage/plans';
import { CarveView } from '../views/carve/CarveView';
import { parseCarveState } from '../views/carve/state';
import type { Route } from './+types/carve';

export const meta: Route.MetaFunction = () => [{ title: 'Carve · Liana' }];

/** The plan is loaded once; from then on the view holds it and keeps every change. */
export function shouldRevalidate({ currentUrl, nextUrl }: { currentUrl: URL; nextUrl: URL }): boolean {
  return currentUrl.pathname !== nextUrl.pathname;
}

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const [{ wrong, ...first }, looks, aside] = await Promise.all([loadPlan(project), loadLooks(project.id), loadAside(project.id)]);
  return { project, first, wrong, looks, aside };
}

export default function Carve({ loaderData }: Route.ComponentProps) {
  const [params] = useUrlParams();
  return <CarveView key={loaderData.project.id} {...loaderData} state={parseCarveState(params)} />;
}
