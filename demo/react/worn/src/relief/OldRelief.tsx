import { stands } from './relief';

/** How reliefs were shown last year. */
export function OldRelief() {
  return <p>{stands.map((stand) => stand.name).join(', ')}</p>;
}
