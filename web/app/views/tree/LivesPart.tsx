import { counted, holderOf, listed, type LivesElsewhere, type ProvidedElsewhere, type Strand } from '@liana/core';
import Button from '@mui/material/Button';
import type { LivesAnswer, TreeAnswer } from '../../analysis/answers';
import type { withState } from './state';

type Props = {
  tree: TreeAnswer;
  /** The strand whose state or context it is about. */
  strand: Strand;
  /** The chosen place: where it would live. */
  place: number | undefined;
  lives: LivesAnswer | undefined;
  onChange: (change: Parameters<typeof withState>[1]) => void;
};

/** What would come of it if a state lived with another component, or a context were provided there. Nothing is written. */
export function LivesPart({ tree, strand, place, lives, onChange }: Props) {
  const holder = holderOf(strand);
  const verb = strand.kind === 'context' ? 'were provided' : 'lived';
  const target = place === undefined || place === holder ? undefined : tree.rows[place];
  return (
    <section className="what-if" aria-label="What if">
      <h2>
        What if {strand.name} {verb} {target ? `in ${target.name}` : 'elsewhere'}
      </h2>
      {!target && (
        <p>
          {strand.kind === 'context' ? 'It is provided' : 'It lives'} in {tree.rows[holder ?? -1]?.name}. Choose the row that it would be
          in, with the mouse or the arrow keys.
        </p>
      )}
      {target && lives && 'state' in lives && <Told name={target.name} lives={lives.state} />}
      {target && lives && 'context' in lives && <ToldOfContext provided={lives.context} />}
      <p>
        <Button size="small" variant="outlined" color="inherit" onClick={() => onChange({ lives: undefined })}>
          As it is
        </Button>
      </p>
    </section>
  );
}

function Told({ name, lives: { reached, out, nearest, carriers, renders } }: { name: string; lives: LivesElsewhere }) {
  const itself = reached.filter(({ component, through }) => component === name && through.length === 0);
  const straight = reached.filter((one) => one.through.length === 0 && !itself.includes(one)).map(({ component }) => component);
  const through = reached.filter((one) => one.through.length > 0);
  const handed = `${carriers.then === 0 ? 'No place' : counted(carriers.then, 'place')} would hand it on without a use for it`;
  const before = carriers.now === carriers.then ? ', as now' : carriers.now === 1 ? '; now 1 does' : `; now ${carriers.now || 'none'} do`;
  return (
    <ul className="plain-list" aria-label="What would be otherwise">
      {out.length > 0 && (
        <li className="rust">
          {listed(out)} would not get it: {name} can only give it to what it writes.
          {nearest !== null && ` The nearest component that all can get it from is ${nearest}.`}
        </li>
      )}
      {itself.length > 0 && <li>{name} would have it itself.</li>}
      {straight.length > 0 && <li>{listed(straight)} would be given it.</li>}
      {through.map((one) => (
        <li key={`${one.component} ${one.through.join(' ')}`}>
          {one.component} would be given it through {listed(one.through)}.
        </li>
      ))}
      <li>
        {handed}
        {before}.
      </li>
      {renders && (
        <li>
          At each change up to {counted(renders.then, 'place')} would render, not counting what is wrapped; now up to {renders.now}.
        </li>
      )}
    </ul>
  );
}

function ToldOfContext({ provided: { lost, gained, kept } }: { provided: ProvidedElsewhere }) {
  return (
    <ul className="plain-list" aria-label="What would be otherwise">
      {lost.map(({ component, after }) => (
        <li key={`${component} ${after ?? ''}`} className="rust">
          {component} would not get it: {after ?? 'nobody'} would answer.
        </li>
      ))}
      {gained.map(({ component, before }) => (
        <li key={`${component} ${before ?? ''}`}>
          {component} would get it; now {before ?? 'nobody'} answers.
        </li>
      ))}
      {kept.length > 0 && <li>As now: {listed(kept)}.</li>}
      {lost.length + gained.length + kept.length === 0 && <li>Nothing would be otherwise.</li>}
    </ul>
  );
}
