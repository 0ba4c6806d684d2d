import type { VersionsAnswer } from '../../analysis/answers';

/** A value that goes elsewhere than it did, in a sentence. */
function WayLine({ way: { of, lost, gained } }: { way: VersionsAnswer['ways'][number] }) {
  return (
    <li>
      <b className="mono">{of}</b>
      {lost.length > 0 && ` no longer comes to ${lost.join(', ')}`}
      {lost.length > 0 && gained.length > 0 && ', and'}
      {gained.length > 0 && ` comes to ${gained.join(', ')} now`}
    </li>
  );
}

/** Values that go elsewhere than they did, under a title; nothing where there are none. */
export function Ways({ ways }: { ways: VersionsAnswer['ways'] }) {
  if (ways.length === 0) return null;
  return (
    <>
      <h3>Values that go elsewhere</h3>
      <ul className="plain-list">
        {ways.map((way) => (
          <WayLine key={way.of} way={way} />
        ))}
      </ul>
    </>
  );
}
