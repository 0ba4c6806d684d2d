import { useEffect, useState } from 'react';

type Props = { day: string };

export function DayTitle({ day }: Props) {
  const [shownDay, setShownDay] = useState(day);
  useEffect(() => setShownDay(day), [day]);
  const clear = () => setShownDay('');

  return (
    <h2>
      {shownDay} <button onClick={clear}>Any day</button>
    </h2>
  );
}
