import { data } from 'react-router';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import { FindingsView } from '../views/findings/FindingsView';
import type { Route } from './+types/findings';

export const meta: Route.MetaFunction = () => [{ title: 'Findings · Liana' }];

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  const asked = new URL(request.url).searchParams.get('finding');
  const findings = await getAnalyst().findings(project.id);
  const chosen = findings.find((finding) => finding.key === asked) ?? findings[0];
  const code = chosen
    ? await getAnalyst().excerpts(
        project.id,
        chosen.evidence.map((rung) => [rung.at]),
      )
    : [];
  const place = chosen ? await getAnalyst().placeOf(project.id, chosen.touches.component, undefined) : undefined;
  return { project, summary, findings, chosen, code, place };
}

export default function Findings({ loaderData }: Route.ComponentProps) {
  return loaderData ? <FindingsView {...loaderData} /> : null;
}
