import { mergePlans, type Plan, messageOf } from '@liana/core';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import { useTell } from '../../parts/Notices';
import { choosePlan, type KeptPlan, loadPlan, type NewLook, type SavedPlan, saveLooks, savePlan } from '../../storage/plans';
import { onStoredElsewhere } from '../../storage/tabs';

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

/** What keeps a plan from being stored as it is shown. */
export type PlanTrouble =
  | { readonly kind: 'unsaved'; readonly says: string }
  /** Another tab has stored what does not fit. */
  | { readonly kind: 'differs' };

export type PlanEditor = History & {
  readonly trouble: PlanTrouble | undefined;
  /** How often another tab's plan was merged into this one: ids that were given here are others since. */
  readonly merges: number;
  readonly edit: (plan: Plan, options?: { joins?: boolean }) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Stores what pages are shown from, with the plan that speaks of them, and shows that. */
  readonly bring: (looks: readonly NewLook[], plan: Plan) => Promise<void>;
  readonly retry: () => void;
  /** Of two plans that do not fit into one, this tab's or the other's; the one that is not chosen is set aside. */
  readonly choose: (whose: 'mine' | 'theirs') => Promise<void>;
};

/** What is shown after `sent` was stored; undefined where one has to choose, as what was edited while it was written may not fit what it was merged with. */
function shownAfter(saved: SavedPlan, sent: Plan, latest: Plan): Plan | undefined {
  if (saved.kind === 'differs') return undefined;
  return saved.kind === 'saved' || latest === sent ? saved.plan : mergePlans(sent, latest, saved.plan);
}

/** Pause before a plan that could not be stored is tried again, in milliseconds. */
const pause = 4000;

/**
 * The plan of a project under the user's hands: every change is kept at once, and can be taken back.
 * What another tab stores is taken over; what cannot be stored stays, is tried again, and is said.
 */
export function usePlan(project: { readonly id: string; readonly name: string }, first: KeptPlan): PlanEditor {
  const { id, name } = project;
  const [history, act] = useReducer(stepped, { past: [], plan: first.plan, future: [] });
  const [trouble, setTrouble] = useState<PlanTrouble>();
  const kept = useRef<KeptPlan>(first);
  const latest = useRef(history.plan);
  const isSaving = useRef(false);
  /** Two plans do not fit into one: nothing is stored before one of them is chosen. */
  const mustChoose = useRef(false);
  const [merges, setMerges] = useState(0);
  const tell = useTell();

  const edit = useCallback((plan: Plan, { joins = false }: { joins?: boolean } = {}) => act({ kind: 'edit', plan, joins }), []);

  /** Takes note of what was stored of `sent`; edits that were made meanwhile are put upon it. */
  const note = useCallback(
    (saved: SavedPlan, sent: Plan): void => {
      const shown = shownAfter(saved, sent, latest.current);
      if (saved.kind === 'differs' || shown === undefined) {
        mustChoose.current = true;
        return setTrouble({ kind: 'differs' });
      }
      kept.current = saved;
      setTrouble(undefined);
      if (saved.kind === 'saved') return;
      latest.current = shown;
      edit(shown);
      setMerges((count) => count + 1);
      tell('Another tab changed this plan too; both are in it now.');
    },
    [edit, tell],
  );

  const save = useCallback(async (): Promise<void> => {
    if (isSaving.current || mustChoose.current) return;
    isSaving.current = true;
    try {
      while (!mustChoose.current && latest.current !== kept.current.plan) {
        const sent = latest.current;
        const saved = await savePlan(id, sent, kept.current);
        note(saved, sent);
      }
    } catch (error) {
      setTrouble({ kind: 'unsaved', says: messageOf(error) });
    } finally {
      isSaving.current = false;
    }
  }, [id, note]);

  useEffect(() => {
    latest.current = history.plan;
    void save();
  }, [history.plan, save]);

  useRetry(trouble !== undefined, save);

  useEffect(
    () =>
      onStoredElsewhere(({ what, projectId }) => {
        if (what !== 'plan' || projectId !== id || latest.current !== kept.current.plan) return;
        void loadPlan({ id, name }).then(({ plan, revision, wrong }) => {
          if (wrong !== undefined || revision <= kept.current.revision || latest.current !== kept.current.plan) return;
          kept.current = { plan, revision };
          latest.current = plan;
          edit(plan);
        });
      }),
    [id, name, edit],
  );

  const bring = useCallback(
    async (looks: readonly NewLook[], plan: Plan): Promise<void> => {
      const saved = await saveLooks(id, looks, plan, kept.current);
      latest.current = plan;
      edit(plan);
      note(saved, plan);
    },
    [id, edit, note],
  );

  const choose = async (whose: 'mine' | 'theirs'): Promise<void> => {
    if (trouble?.kind !== 'differs') return;
    const { plan: theirs } = await loadPlan({ id, name });
    const [chosen, other] = whose === 'mine' ? [latest.current, theirs] : [theirs, latest.current];
    try {
      const saved = await choosePlan(id, chosen, other, whose === 'mine' ? 'The plan of another tab' : 'The plan of this tab');
      kept.current = { plan: chosen, revision: saved.revision };
      mustChoose.current = false;
      latest.current = chosen;
      edit(chosen);
      setMerges((count) => count + 1);
      setTrouble(undefined);
    } catch (error) {
      tell(messageOf(error));
    }
  };

  const steps = { undo: () => act({ kind: 'undo' }), redo: () => act({ kind: 'redo' }) };
  return { ...history, trouble, merges, edit, ...steps, bring, retry: () => void save(), choose };
}

/** While something is not stored it is tried again, and leaving warns. */
function useRetry(isTrouble: boolean, save: () => Promise<void>): void {
  useEffect(() => {
    if (!isTrouble) return;
    const timer = setInterval(() => void save(), pause);
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => {
      clearInterval(timer);
      window.removeEventListener('beforeunload', warn);
    };
  }, [isTrouble, save]);
}
