import type { MarkState, RuleSetting } from '@liana/core';
import { useCallback, useEffect } from 'react';
import { useFetcher, useRevalidator } from 'react-router';
import { useTell } from '../../parts/Notices';
import type { StoredTriage } from '../../storage/database';
import type { Decision } from '../../storage/triage';
import { onStoredElsewhere } from '../../storage/tabs';
import { stateWords } from './state';

/** What the route answers where another tab has decided otherwise about the same: what stands, and what was asked here. */
type Otherwise = { readonly otherwise: Decision; readonly asked: Readonly<Record<string, string>> };

/** What another tab decided, in words that end a sentence. */
function decisionWords(decision: Decision, about: string | undefined): string {
  if (typeof decision === 'object') return `${stateWords[decision.state]}${decision.reason === '' ? '' : `, ${decision.reason}`}`;
  if (typeof decision === 'number') return `twins from ${Math.round(100 * decision)} %`;
  if (decision !== undefined) return decision === 'off' ? 'the rule is off' : `the rule is told as ${decision}`;
  return about === 'finding' ? 'open again' : 'as Liana has it';
}

const seenAs = (decision: Decision): string => (decision === undefined ? 'none' : JSON.stringify(decision));

type Decisions = {
  /** Decides about a finding; undefined opens it again. */
  readonly mark: (key: string, to: MarkState | undefined, reason: string) => void;
  readonly setRule: (rule: string, setting: RuleSetting | undefined) => void;
  /** Sets from which likeness on, as text, two components are twins; empty for Liana's own. */
  readonly setTwins: (likeness: string) => void;
};

/** How one decides in a project, with undo for each decision; what another tab decides is shown here too. `onDecided` hears of a finding that was decided. */
export function useDecisions(projectId: string, triage: StoredTriage, onDecided: (key: string) => void): Decisions {
  const { submit: send, data: answered } = useFetcher<Otherwise>();
  const { revalidate } = useRevalidator();
  const tell = useTell();
  const submit = useCallback((fields: Readonly<Record<string, string>>) => void send(fields, { method: 'post' }), [send]);

  useEffect(
    () =>
      onStoredElsewhere((stored) => {
        if (stored.what === 'decisions' && stored.projectId === projectId) void revalidate();
      }),
    [projectId, revalidate],
  );

  useEffect(() => {
    if (!answered) return;
    const { otherwise, asked } = answered;
    tell(`Another tab decided otherwise meanwhile: ${decisionWords(otherwise, asked['about'])}. That stands.`, {
      label: 'Decide as here',
      run: () => submit(asked),
      stays: true,
    });
  }, [answered, submit, tell]);

  return {
    mark(key, to, reason) {
      const before = triage.marks[key];
      submit({ about: 'finding', key, state: to ?? '', reason, seen: seenAs(before) });
      if (to) onDecided(key);
      tell(to ? `${stateWords[to]}.` : 'Open again.', {
        label: 'Undo',
        run: () => submit({ about: 'finding', key, state: before?.state ?? '', reason: before?.reason ?? '' }),
      });
    },
    setRule(rule, setting) {
      const before = triage.rules[rule];
      submit({ about: 'rule', rule, setting: setting ?? '', seen: seenAs(before) });
      tell(setting === 'off' ? 'The rule is off in this project.' : 'The rule is set for this project.', {
        label: 'Undo',
        run: () => submit({ about: 'rule', rule, setting: before ?? '' }),
      });
    },
    setTwins(likeness) {
      const before = triage.twinsFrom;
      submit({ about: 'twins', likeness, seen: seenAs(before) });
      tell('What counts as twins is set for this project.', {
        label: 'Undo',
        run: () => submit({ about: 'twins', likeness: before === undefined ? '' : String(before) }),
      });
    },
  };
}
