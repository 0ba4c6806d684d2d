import { questions } from '@liana/core';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Toggle } from '../../parts/controls/Toggle';
import type { TraceAsk } from './state';

export const askWords: Readonly<Record<TraceAsk, string>> = {
  goes: 'Where it goes',
  comes: 'Where it comes from',
  changes: 'What changes it',
  impact: 'If it changes',
  happens: 'What happens',
  derives: 'What derives from what',
};

type Props = {
  ask: TraceAsk;
  /** It is an event that people raise, and no value. */
  isListener: boolean;
  /** Nothing is chosen that could be followed. */
  isWhole?: boolean;
  /** The answer as text, and what it is called. */
  text: string;
  what: string;
  onAsk: (ask: TraceAsk | undefined) => void;
};

/** What can be asked, and the answer to be taken elsewhere. */
export function Questions({ ask, isListener, isWhole = false, text, what, onAsk }: Props) {
  const [said, setSaid] = useState('');
  const asks: readonly TraceAsk[] = isWhole ? ['derives'] : [...(isListener ? (['happens'] as const) : questions), 'derives'];
  const copy = (copied: string, name: string): void => {
    navigator.clipboard.writeText(copied).then(
      () => setSaid(`${name} copied.`),
      () => setSaid('The browser did not allow copying.'),
    );
  };
  return (
    <div className="controls">
      <div role="group" aria-label="Question" style={{ display: 'contents' }}>
        {asks.map((one) => (
          <Toggle key={one} isOn={ask === one} onToggle={() => onAsk(one === 'goes' ? undefined : one)}>
            {askWords[one]}
          </Toggle>
        ))}
      </div>
      <span className="trace-end">
        <span role="status">{said}</span>
        <Button size="small" onClick={() => copy(text, what)}>
          Copy as text
        </Button>
        <Button size="small" onClick={() => copy(window.location.href, 'Link')}>
          Copy link
        </Button>
      </span>
    </div>
  );
}
