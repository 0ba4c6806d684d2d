import type { SubjectId } from '@liana/core';
import { data } from 'react-router';
import type { DerivationAnswer, Excerpt, TraceAnswer } from '../analysis/answers';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import { DerivesView } from '../views/trace/DerivesView';
import { parseTraceState, type TraceState } from '../views/trace/state';
import { TraceView } from '../views/trace/TraceView';
import type { Route } from './+types/trace';

export const meta: Route.MetaFunction = () => [{ title: 'Trace · Liana' }];

let kept: { key: string; answer: TraceAnswer | undefined } | undefined;

/** A trace is asked for once; choosing a rung in it asks only for code. */
async function traceOf(projectId: string, readAt: number, state: TraceState, of: SubjectId): Promise<TraceAnswer | undefined> {
  if (state.ask === 'derives') return undefined;
  const key = [projectId, readAt, state.page, of, state.at, state.ask].join(' ');
  if (kept?.key === key) return kept.answer;
  const answer = await getAnalyst().trace(projectId, state.page, of, state.at, state.ask);
  kept = { key, answer };
  return answer;
}

/** What derives from what, with the code of the chosen row: its computation, else where it is declared. */
async function derivationOf(
  projectId: string,
  { page, at, rung }: TraceState,
  of: SubjectId,
): Promise<{ answer: DerivationAnswer; excerpt: Excerpt | undefined } | undefined> {
  const analyst = getAnalyst();
  const answer = await analyst.derivation(projectId, page, of, at);
  const row = answer?.derivation.rows[rung ?? answer.asked ?? -1];
  if (!answer) return undefined;
  const [excerpt] = row ? await analyst.excerpts(projectId, [[row.code ?? row.at]]) : [];
  return { answer, excerpt };
}

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  const state = parseTraceState(new URL(request.url).searchParams);
  const analyst = getAnalyst();
  const nothing = { answer: undefined, derives: undefined, whole: undefined };
  if (state.of === undefined) return { project, summary, state, ...nothing, subjects: await analyst.subjects(project.id, state.page) };
  const derives = state.ask === 'derives' ? await derivationOf(project.id, state, state.of) : undefined;
  if (derives) return { project, summary, state, ...nothing, derives, subjects: [] };
  const answer = await traceOf(project.id, project.readAt, state, state.of);
  if (!answer) return { project, summary, state, ...nothing, subjects: await analyst.subjects(project.id, state.page) };
  const at = state.wide === undefined ? undefined : answer.trace.rungs[state.wide]?.code[0];
  const whole = at && (await analyst.whole(project.id, at));
  return { project, summary, state, answer, derives: undefined, subjects: [], whole };
}

export default function Trace({ loaderData }: Route.ComponentProps) {
  if (!loaderData) return null;
  const { derives, ...traced } = loaderData;
  return derives ? <DerivesView project={traced.project} state={traced.state} {...derives} /> : <TraceView {...traced} />;
}
