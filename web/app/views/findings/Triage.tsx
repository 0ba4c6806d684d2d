import { type MarkState, markStates, type RuleSetting, severities } from '@liana/core';
import { useState } from 'react';
import { severityWords } from '../../theme/Glyph';
import { stateWords, type Told } from './state';

type Props = {
  told: Told;
  setting: RuleSetting | undefined;
  onMark: (state: MarkState | undefined, reason: string) => void;
  onRule: (setting: RuleSetting | undefined) => void;
};

const doWords: Readonly<Record<MarkState, string>> = { accepted: 'Accept', later: 'Not now', wrong: 'It is wrong' };
const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });

/** What is decided about a finding, with the reason, and what the project says of its rule. */
export function Triage({ told, setting, onMark, onRule }: Props) {
  const { finding, decided } = told;
  const [reason, setReason] = useState('');
  return (
    <>
      <h3>Decide</h3>
      {decided ? (
        <p>
          {decided.by === 'comment' ? 'Accepted by a comment in the source' : `${stateWords[decided.state]}, ${day.format(decided.at)}`}
          {decided.reason === '' ? '. ' : `: ${decided.reason} `}
          {decided.by === 'mark' && (
            <button type="button" className="chip" onClick={() => onMark(undefined, '')}>
              Open it again
            </button>
          )}
        </p>
      ) : (
        <div className="decide">
          <input
            aria-label="Reason"
            placeholder="Reason, kept with the project"
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          {markStates.map((state) => (
            <button key={state} type="button" className="chip" onClick={() => onMark(state, reason.trim())}>
              {doWords[state]}
            </button>
          ))}
        </div>
      )}
      <p className="rule-setting">
        <label>
          In this project this rule is{' '}
          <select
            className="chip"
            value={setting ?? ''}
            onChange={(event) => onRule(([...severities, 'off'] as const).find((one) => one === event.currentTarget.value))}
          >
            <option value="">as Liana has it</option>
            {severities.map((severity) => (
              <option key={severity} value={severity}>
                {severityWords[severity].one}
              </option>
            ))}
            <option value="off">off</option>
          </select>
        </label>{' '}
        <code>{`// liana-accept ${finding.rule}: reason`}</code> above the line says the same in the source.
      </p>
    </>
  );
}
