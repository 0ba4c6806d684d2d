import { useKeeper } from '@/shell/keeper';

type Props = { word: string; withColour?: boolean; withTimes?: boolean; withHelp?: boolean };

export function ReliefLegend({ word, withColour = false, withTimes = false, withHelp = false }: Props) {
  const { keeper } = useKeeper();
  const title = keeper.onDuty ? `${keeper.name} is on duty` : `${keeper.name} is off duty`;

  return (
    <>
      <aside>
        <h3>{title}</h3>
        {withColour && <i className="pill">Swapped</i>}
        {withTimes && <time>06:00 to 14:00</time>}
        {withHelp && <small>Ask for a relief a week before.</small>}
        <dl className="facts" title={word}>
          <dt id="legend-kept" className="fact">
            Signed in
          </dt>
          <dd aria-labelledby="legend-kept" className="value">
            {word}
          </dd>
          <dt id="legend-sum" className="fact">
            Duty
          </dt>
          <dd aria-labelledby="legend-sum" className="value">
            {keeper.name}
          </dd>
        </dl>
      </aside>
    </>
  );
}
