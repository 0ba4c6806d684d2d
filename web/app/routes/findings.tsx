import { isMarkState, severities } from '@liana/core';
import { data } from 'react-router';
import type { FindingView } from '../analysis/answers';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import {
  DecidedElsewhere,
  type Decision,
  markFinding,
  noteReading,
  type Seen,
  setRule,
  setTwinsFrom,
  wrongTriage,
} from '../storage/triage';
import { fittingFindings, parseFindingsState, toldFindings } from '../views/findings/state';
import { FindingsView } from '../views/findings/FindingsView';
import { traceLink } from '../views/trace/state';
import type { Route } from './+types/findings';

export const meta: Route.MetaFunction = () => [{ title: 'Findings · Liana' }];

/** The link to the trace of what a finding speaks of; undefined where nothing can be followed there. */
async function traceFor(projectId: string, finding: FindingView, pageId: string | undefined): Promise<string | undefined> {
  const analyst = getAnalyst();
  const at = finding.evidence[0]?.at ?? finding.at;
  const found =
    (await analyst.subject(projectId, pageId, `${finding.touches.component}~${finding.subject}`)) ??
    (await analyst.subjectAt(projectId, pageId, at.file, at.start, undefined));
  return found && traceLink(projectId, found.page, found.id, found.place);
}

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  const asked = new URL(request.url).searchParams.get('finding');
  const findings = await getAnalyst().findings(project.id);
  const wrong = await wrongTriage(project.id);
  const triage = await noteReading(
    project.id,
    project.readAt,
    findings.map((finding) => finding.key),
  );
  const state = parseFindingsState(new URL(request.url).searchParams);
  const shown = fittingFindings(toldFindings(findings, triage), state);
  const chosen =
    findings.find((finding) => finding.key === asked) ?? shown.find(({ finding }) => !state.without.has(finding.severity))?.finding;
  const code = chosen
    ? await getAnalyst().excerpts(
        project.id,
        chosen.evidence.map((rung) => [rung.at]),
      )
    : [];
  const place = chosen ? await getAnalyst().placeOf(project.id, chosen.touches.component, undefined) : undefined;
  const trace = chosen && (await traceFor(project.id, chosen, place?.pageId));
  const patch = chosen?.edits ? await getAnalyst().patch(project.id, [chosen.key]) : '';
  const proposal = chosen && (await getAnalyst().proposal(project.id, chosen.key));
  const twin = chosen?.rule === 'twins' ? await getAnalyst().twinsOf(project.id, chosen.component) : undefined;
  return { project, summary, findings, triage, wrong, chosen, code, patch, proposal, place, trace, twin };
}

/** Keeps what is decided about a finding, or what the project says of a rule. */
export async function clientAction({ params, request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const field = (name: string): string => {
    const value = form.get(name);
    return typeof value === 'string' ? value : '';
  };
  const fields = Object.fromEntries([...form.keys()].map((name) => [name, field(name)]));
  try {
    if (field('about') === 'finding') {
      const state = field('state');
      const mark = isMarkState(state) ? { state, reason: field('reason'), at: Date.now() } : undefined;
      await markFinding(params.projectId, field('key'), mark, seenIn(field('seen')));
    } else if (field('about') === 'rule') {
      const setting = (['off', ...severities] as const).find((one) => one === field('setting'));
      await setRule(params.projectId, field('rule'), setting, seenIn(field('seen')));
    } else if (field('about') === 'twins') {
      const likeness = Number(field('likeness'));
      await setTwinsFrom(params.projectId, likeness >= 0.5 && likeness <= 1 ? likeness : undefined, seenIn(field('seen')));
    }
  } catch (error) {
    if (!(error instanceof DecidedElsewhere)) throw error;
    const { seen: _, ...asked } = fields;
    return { otherwise: error.now, asked };
  }
  return null;
}

/** The decision that a tab saw when it decided: `none` for no decision; empty where it does not say. */
function seenIn<D extends Decision>(seen: string): Seen<D> | undefined {
  if (seen === '') return undefined;
  return { decision: seen === 'none' ? undefined : (JSON.parse(seen) as D) };
}

export default function Findings({ loaderData }: Route.ComponentProps) {
  return loaderData ? <FindingsView {...loaderData} /> : null;
}
