import { type MarkState, markStates, type RuleSetting, severities } from '@liana/core';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Choice } from '../../parts/controls/Choice';
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
            <Button variant="outlined" color="inherit" onClick={() => onMark(undefined, '')}>
              Open it again
            </Button>
          )}
        </p>
      ) : (
        <div className="decide">
          <TextField
            size="small"
            placeholder="Reason, kept with the project"
            value={reason}
            slotProps={{ htmlInput: { 'aria-label': 'Reason' } }}
            onChange={(event) => setReason(event.target.value)}
          />
          {markStates.map((state) => (
            <Button key={state} variant="outlined" color="inherit" onClick={() => onMark(state, reason.trim())}>
              {doWords[state]}
            </Button>
          ))}
        </div>
      )}
      <p className="rule-setting">
        In this project this rule is{' '}
        <Choice
          label="In this project this rule is"
          value={setting ?? ''}
          options={[
            { value: '', words: 'as Liana has it' },
            ...severities.map((severity) => ({ value: severity, words: severityWords[severity].one })),
            { value: 'off', words: 'off' },
          ]}
          onChoose={(value) => onRule(([...severities, 'off'] as const).find((one) => one === value))}
        />{' '}
        <code>{`// liana-accept ${finding.rule}: reason`}</code> above the line says the same in the source.
      </p>
    </>
  );
}
