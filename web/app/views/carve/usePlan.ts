import type { Plan } from '@liana/core';
import { useCallback, useEffect, useReducer, useRef } from 'react';
import { useTell } from '../../parts/Notices';
import { savePlan } from '../../storage/plans';

/** A plan with the edits that led to it and those taken back. */
export type History = { readonly past: readonly Plan[]; readonly plan: Plan; readonly future: readonly Plan[] };

type Action =
  { readonly kind: 'edit'; readonly plan: Plan; readonly joins: boolean } | { readonly kind: 'undo' } | { readonly kind: 'redo' };

const stepsMost = 500;

/** What an action makes of the history. `joins` puts an edit into the step before it, as while dragging. */
export function stepped(history: History, action: Action): History {
  const { past, plan, future } = history;
  switch (action.kind) {
    case 'edit':
      if (action.plan === plan) return history;
      return { past: action.joins ? past : [...past, plan].slice(-stepsMost), plan: action.plan, future: [] };
    case 'undo': {
      const before = past.at(-1);
      return before ? { past: past.slice(0, -1), plan: before, future: [plan, ...future] } : history;
    }
    case 'redo': {
      const [after, ...rest] = future;
      return after ? { past: [...past, plan], plan: after, future: rest } : history;
    }
  }
}

export type PlanEditor = History & {
  readonly edit: (plan: Plan, options?: { joins?: boolean }) => void;
  readonly undo: () => void;
  readonly redo: () => void;
};

/** The plan of a project under the user's hands: every change is kept at once, and can be taken back. */
export function usePlan(projectId: string, first: Plan): PlanEditor {
  const [history, act] = useReducer(stepped, { past: [], plan: first, future: [] });
  const saved = useRef(first);
  const tell = useTell();

  useEffect(() => {
    if (history.plan === saved.current) return;
    saved.current = history.plan;
    savePlan(projectId, history.plan).catch((error: unknown) =>
      tell(`The plan could not be saved: ${error instanceof Error ? error.message : String(error)}`),
    );
  }, [history.plan, projectId, tell]);

  const edit = useCallback((plan: Plan, { joins = false }: { joins?: boolean } = {}) => act({ kind: 'edit', plan, joins }), []);
  const undo = useCallback(() => act({ kind: 'undo' }), []);
  const redo = useCallback(() => act({ kind: 'redo' }), []);
  return { ...history, edit, undo, redo };
}
