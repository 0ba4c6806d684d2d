import { counted, holderOf, listed, type LivesElsewhere, type Strand } from '@liana/core';
import Button from '@mui/material/Button';
import type { TreeAnswer } from '../../analysis/answers';
import type { withState } from './state';

type Props = {
  tree: TreeAnswer;
  /** The strand whose state it is about. */
  strand: Strand;
  /** The chosen place: where it would live. */
  place: number | undefined;
  lives: LivesElsewhere | undefined;
  onChange: (change: Parameters<typeof withState>[1]) => void;
};

/** What would come of it if a state lived with another component. Nothing is written. */
export function LivesPart({ tree, strand, place, lives, onChange }: Props) {
  const holder = holderOf(strand);
  const target = place === undefined || place === holder ? undefined : tree.rows[place];
  return (
    <section className="what-if" aria-label="What if">
      <h2>
        What if {strand.name} lived {target ? `in ${target.name}` : 'elsewhere'}
      </h2>
      {!target && (
        <p>It lives in {tree.rows[holder ?? -1]?.name}. Choose the row that it would live in, with the mouse or the arrow keys.</p>
      )}
      {target && lives && <Told name={target.name} lives={lives} />}
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
  const handed =
    carriers.then === 0 ? 'No place would hand it on' : `${counted(carriers.then, 'place')} would hand it on without a use for it`;
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
          At each change at least {counted(renders.then, 'place')} would render; now {renders.now}.
        </li>
      )}
    </ul>
  );
}
