import type { ComponentId } from '@liana/core';
import { data, redirect } from 'react-router';
import { getAnalyst, openProject } from '../analysis/client';
import { loadPlan } from '../storage/plans';
import { getProject } from '../storage/projects';
import { TreeView } from '../views/tree/TreeView';
import { askForCode } from '../views/tree/code-asked';
import { standsAsked, withAnswers } from '../views/tree/stands';
import { parseTreeState, placeAtPath, treeLink } from '../views/tree/state';
import type { TreeAnswer } from '../analysis/answers';
import type { Route } from './+types/tree';

export const meta: Route.MetaFunction = () => [{ title: 'Tree · Liana' }];

let kept: { key: string; tree: TreeAnswer | undefined } | undefined;

/** The tree of a page is asked for once; choosing something in it asks only for the card and the code. */
async function treeOf(projectId: string, readAt: number, page: string | undefined): Promise<TreeAnswer | undefined> {
  const key = `${projectId} ${readAt} ${page ?? ''}`;
  if (kept?.key === key) return kept.tree;
  const tree = await getAnalyst().tree(projectId, page);
  kept = { key, tree };
  return tree;
}

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  const url = new URL(request.url);
  const component = url.searchParams.get('component');
  if (component) {
    const found = await getAnalyst().placeOf(project.id, component as ComponentId, undefined);
    const to = found ? treeLink(project.id, found.pageId, found.place) : `/projects/${project.id}/tree`;
    throw redirect(to);
  }
  const state = parseTreeState(url.searchParams);
  const tree = await treeOf(project.id, project.readAt, state.page);
  if (!tree)
    return {
      summary,
      project,
      tree,
      state,
      place: undefined,
      card: undefined,
      code: [],
      part: undefined,
      moved: undefined,
      stands: [],
      proposal: undefined,
      lives: undefined,
    };
  const place = placeAtPath(tree.rows, state.place);
  const card = place === undefined ? undefined : await getAnalyst().card(project.id, tree.page.id, place);
  const moved = placeAtPath(tree.rows, state.move);
  const standing = standsAsked(tree.rows, state, place);
  const answered =
    standing.length === 0
      ? undefined
      : await getAnalyst().whatIf(
          project.id,
          tree.page.id,
          standing.map((one) => ({
            moved: one.moved,
            target: one.target,
            ...(one.state.slot === undefined ? {} : { slot: one.state.slot }),
          })),
        );
  const stands = withAnswers(standing, answered);
  const lives =
    state.lives && state.strand !== undefined && place !== undefined
      ? await getAnalyst().lives(project.id, tree.page.id, state.strand, place)
      : undefined;
  const asked = askForCode(state, tree, card);
  const excerpts = await getAnalyst().excerpts(
    project.id,
    asked.map((one) => one.marks),
  );
  const code = asked.flatMap((one, index) => {
    const excerpt = excerpts[index];
    return excerpt ? [{ caption: one.caption, loose: one.loose, excerpt }] : [];
  });
  const { plan } = await loadPlan(project);
  const part = plan.parts.find((one) => one.name === card?.card.name);
  return { summary, project, tree, state, place, card, code, part: part?.id, moved, stands, proposal: answered?.proposal, lives };
}

export default function Tree({ loaderData }: Route.ComponentProps) {
  return loaderData ? <TreeView {...loaderData} /> : null;
}
