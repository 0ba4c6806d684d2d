import Button from '@mui/material/Button';
import type { TreeAnswer, WhatIfAnswer } from '../../analysis/answers';
import { Choice } from '../../parts/controls/Choice';
import { pathOf } from './state';

type Props = {
  tree: TreeAnswer;
  /** The place that would stand elsewhere. */
  moved: number;
  /** The chosen place: where it would stand. */
  place: number | undefined;
  answered: WhatIfAnswer | undefined;
  slot: string | undefined;
  onChange: (change: { move?: string | undefined; slot?: string | undefined; place?: string | undefined }) => void;
};

/** What would come of it if a place stood in the chosen row. Nothing is written. */
export function WhatIfPart({ tree, moved, place, answered, slot, onChange }: Props) {
  const name = tree.rows[moved]?.name ?? '';
  const target = place === undefined || place === moved ? undefined : tree.rows[place];
  const isIn = target !== undefined && answered === undefined;
  return (
    <section className="what-if" aria-label="What if">
      <h2>
        What if {name} stood {target ? `in ${target.name}` : 'elsewhere'}
      </h2>
      {!target && <p>Choose the row that it would stand in, with the mouse or the arrow keys.</p>}
      {isIn && <p>It cannot stand there: {target.name} stands in it.</p>}
      {target && answered && (
        <>
          <p className="row-of-controls">
            <span>written</span>
            <Choice
              label="Where in it"
              value={slot ?? ''}
              most={240}
              options={[
                { value: '', words: 'in its own markup' },
                ...answered.slots.map((one) => ({ value: one, words: `in its slot ${one}` })),
              ]}
              onChoose={(value) => onChange({ slot: value === '' ? undefined : value, place: pathOf(tree.rows, target.place) })}
            />
          </p>
          <Answers answered={answered} />
        </>
      )}
      <p>
        <Button size="small" variant="outlined" color="inherit" onClick={() => onChange({ move: undefined, slot: undefined })}>
          As it is
        </Button>
      </p>
    </section>
  );
}

function Answers({ answered: { whatIf } }: { answered: WhatIfAnswer }) {
  const { answers, lost, another, unheard, heardBy, unchanged } = whatIf;
  const others = answers.filter(({ before, after }) => before !== after);
  const same = answers.filter(({ before, after }) => before === after);
  const stays = [...unchanged.map(({ name }) => name), ...same.map(({ key }) => key)];
  return (
    <ul className="plain-list" aria-label="What would be otherwise">
      {lost.map(({ component, name, of }) => (
        <li key={`lost ${component} ${name}`} className="rust">
          <b className="mono">{name}</b> would not be given{of === '' ? '' : `: ${of} is not known there`}.
        </li>
      ))}
      {another.map(({ component, name, of }) => (
        <li key={`another ${component} ${name}`} className="rust">
          <b className="mono">{name}</b> would be given another value: the {of} that is known there.
        </li>
      ))}
      {unheard.map(({ component, event }) => (
        <li key={`unheard ${component} ${event}`} className="rust">
          Nobody would hear <b className="mono">{event}</b>.
        </li>
      ))}
      {others.map(({ component, key, before, after }) => (
        <li key={`answers ${component} ${key}`}>
          <b className="mono">{key}</b> of {component}: {after ?? 'nobody'} would answer; now {before ?? 'nobody'} does.
        </li>
      ))}
      {heardBy.map(({ component, event, by }) => (
        <li key={`heard ${component} ${event} ${by}`}>
          {by} would hear <b className="mono">{event}</b> of {component}.
        </li>
      ))}
      {stays.length > 0 && <li>As now: {stays.join(', ')}.</li>}
      {lost.length + another.length + unheard.length + answers.length + heardBy.length + unchanged.length === 0 && (
        <li>Nothing would be otherwise.</li>
      )}
    </ul>
  );
}
