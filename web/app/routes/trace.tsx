import type { SubjectId } from '@liana/core';
import { data } from 'react-router';
import type { TraceAnswer } from '../analysis/answers';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import { parseTraceState, type TraceState } from '../views/trace/state';
import { TraceView } from '../views/trace/TraceView';
import type { Route } from './+types/trace';

export const meta: Route.MetaFunction = () => [{ title: 'Trace · Liana' }];

let kept: { key: string; answer: TraceAnswer | undefined } | undefined;

/** A trace is asked for once; choosing a rung in it asks only for code. */
async function traceOf(projectId: string, readAt: number, state: TraceState, of: SubjectId): Promise<TraceAnswer | undefined> {
  const key = [projectId, readAt, state.page, of, state.at, state.ask].join(' ');
  if (kept?.key === key) return kept.answer;
  const answer = await getAnalyst().trace(projectId, state.page, of, state.at, state.ask);
  kept = { key, answer };
  return answer;
}

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  const state = parseTraceState(new URL(request.url).searchParams);
  const analyst = getAnalyst();
  if (state.of === undefined)
    return { project, summary, state, answer: undefined, subjects: await analyst.subjects(project.id, state.page), whole: undefined };
  const answer = await traceOf(project.id, project.readAt, state, state.of);
  if (!answer) return { project, summary, state, answer, subjects: await analyst.subjects(project.id, state.page), whole: undefined };
  const at = state.wide === undefined ? undefined : answer.trace.rungs[state.wide]?.code[0];
  const whole = at && (await analyst.whole(project.id, at));
  return { project, summary, state, answer, subjects: [], whole };
}

export default function Trace({ loaderData }: Route.ComponentProps) {
  return loaderData ? <TraceView {...loaderData} /> : null;
}
