import { lostWords, type WhatIf } from '@liana/core';
import Button from '@mui/material/Button';
import type { ProposalAnswer, TreeAnswer } from '../../analysis/answers';
import { Choice } from '../../parts/controls/Choice';
import { FixDiff } from '../findings/FixDiff';
import type { ShownStand } from './stands';
import { standIn, standsText, type withState } from './state';

type Props = {
  tree: TreeAnswer;
  /** The place of which it is asked what if it stood elsewhere; undefined for none. */
  moved: number | undefined;
  /** Places that would stand elsewhere, the one that is asked about last. */
  stands: readonly ShownStand[];
  /** All of it as a patch, or why there is none. */
  proposal: ProposalAnswer | undefined;
  onChange: (change: Parameters<typeof withState>[1]) => void;
};

/** What would come of it if places stood elsewhere. Nothing is written. */
export function WhatIfPart({ tree, moved, stands, proposal, onChange }: Props) {
  const asked = stands.find((one) => one.isAsked);
  const kept = stands.filter((one) => !one.isAsked);
  const write = (next: readonly ShownStand[]): string | undefined => standsText(next.map(({ state }) => state));
  return (
    <section className="what-if" aria-label="What if">
      {moved !== undefined && !asked && (
        <>
          <h2>What if {tree.rows[moved]?.name} stood elsewhere</h2>
          <p>Choose the row that it would stand in, with the mouse or the arrow keys.</p>
        </>
      )}
      {asked && (
        <Stand
          tree={tree}
          stand={asked}
          onSlot={(slot) => onChange({ slot, place: asked.state.to })}
          acts={
            asked.whatIf && (
              <Button
                size="small"
                variant="contained"
                onClick={() => onChange({ stands: write(stands), move: undefined, slot: undefined, place: asked.state.from })}
              >
                Let it stand there
              </Button>
            )
          }
        />
      )}
      {moved !== undefined && (
        <p>
          <Button size="small" variant="outlined" color="inherit" onClick={() => onChange({ move: undefined, slot: undefined })}>
            Leave it where it is
          </Button>
        </p>
      )}
      {kept.map((stand) => (
        <Stand
          key={`${stand.state.from} ${stand.state.to}`}
          tree={tree}
          stand={stand}
          onSlot={(slot) =>
            onChange({
              stands: write(kept.map((one) => (one === stand ? { ...one, state: standIn(one.state.from, one.state.to, slot) } : one))),
            })
          }
          acts={
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              aria-label={`Take back that ${tree.rows[stand.moved]?.name ?? ''} stands in ${tree.rows[stand.target]?.name ?? ''}`}
              onClick={() => onChange({ stands: write(kept.filter((one) => one !== stand)) })}
            >
              Take it back
            </Button>
          }
        />
      ))}
      {proposal && stands.some((one) => one.whatIf) && <Patch proposal={proposal} count={stands.length} />}
      {kept.length > 0 && (
        <p>
          <Button
            size="small"
            variant="outlined"
            color="inherit"
            onClick={() => onChange({ stands: undefined, move: undefined, slot: undefined })}
          >
            All as it is
          </Button>
        </p>
      )}
    </section>
  );
}

type StandProps = {
  tree: TreeAnswer;
  stand: ShownStand;
  onSlot: (slot: string | undefined) => void;
  acts: React.ReactNode;
};

function Stand({ tree, stand: { moved, target, state, slots, whatIf }, onSlot, acts }: StandProps) {
  const [name, into] = [tree.rows[moved]?.name ?? '', tree.rows[target]?.name ?? ''];
  return (
    <>
      <h2>
        What if {name} stood in {into}
      </h2>
      {!whatIf && <p>It cannot stand there: {into} stands in it, or would.</p>}
      {whatIf && (
        <>
          <p className="row-of-controls">
            <span>written</span>
            <Choice
              label={`Where ${name} would be written`}
              value={state.slot ?? ''}
              most={240}
              options={[{ value: '', words: 'in its own markup' }, ...slots.map((one) => ({ value: one, words: `in its slot ${one}` }))]}
              onChoose={(value) => onSlot(value === '' ? undefined : value)}
            />
          </p>
          <Answers name={name} whatIf={whatIf} />
        </>
      )}
      {acts && <p>{acts}</p>}
    </>
  );
}

function Answers({ name: part, whatIf }: { name: string; whatIf: WhatIf }) {
  /** Members of what is written within the part are told with whose they are. */
  const ofWhom = (component: string): string => (component === part ? '' : ` of ${component}`);
  const { answers, elsewhere, endless, lost, another, unheard, heardBy, unchanged } = whatIf;
  const others = answers.filter(({ before, after }) => before !== after);
  const same = answers.filter(({ before, after }) => before === after);
  const stays = [...new Set([...unchanged.map(({ name }) => name), ...same.map(({ key }) => key)])];
  const isNothing = lost.length + another.length + unheard.length + others.length + heardBy.length + elsewhere.length === 0 && !endless;
  return (
    <ul className="plain-list" aria-label="What would be otherwise">
      {endless && <li className="rust">It would stand within itself, again and again, unless a condition ends it.</li>}
      {lost.map((one) => (
        <li key={`lost ${one.component} ${one.name}`} className="rust">
          <b className="mono">{one.name}</b>
          {ofWhom(one.component)} {lostWords(one)}
        </li>
      ))}
      {another.map(({ component, name, of }) => (
        <li key={`another ${component} ${name}`} className="rust">
          <b className="mono">{name}</b>
          {ofWhom(component)} would be given another value: the {of} that is known there.
        </li>
      ))}
      {unheard.map(({ component, event }) => (
        <li key={`unheard ${component} ${event}`} className="rust">
          Nobody would hear <b className="mono">{event}</b>
          {ofWhom(component)}.
        </li>
      ))}
      {others.map(({ component, key, before, after }) => (
        <li key={`answers ${component} ${key}`} className={after === null ? 'rust' : undefined}>
          <b className="mono">{key}</b> of {component}: {after ?? 'nobody'} would answer; now {before ?? 'nobody'} does.
        </li>
      ))}
      {elsewhere.map(({ page, component, key, after }) => (
        <li key={`elsewhere ${page} ${component} ${key} ${after ?? ''}`} className={after === null ? 'rust' : undefined}>
          On {page} it would stand as well: {after ?? 'nobody'} would answer <b className="mono">{key}</b> of {component} there.
        </li>
      ))}
      {heardBy.map(({ component, event, by }) => (
        <li key={`heard ${component} ${event} ${by}`}>
          {by} would hear <b className="mono">{event}</b> of {component}.
        </li>
      ))}
      {stays.length > 0 && <li>As now: {stays.join(', ')}.</li>}
      {isNothing && stays.length === 0 && <li>Nothing would be otherwise.</li>}
    </ul>
  );
}

/** The edits to do it. */
function Patch({ proposal, count }: { proposal: ProposalAnswer; count: number }) {
  return (
    <>
      <h3>{count === 1 ? 'To move it' : `To make these ${count} moves`}</h3>
      {'wrong' in proposal ? (
        <p>Not written for you: {proposal.wrong}</p>
      ) : (
        <>
          {proposal.says !== '' && <p>{proposal.says}</p>}
          <FixDiff patch={proposal.patch} />
        </>
      )}
    </>
  );
}
