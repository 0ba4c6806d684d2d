import { useEffect, useState } from 'react';

type Props = { day: string; onDay: (day: string) => void };

export function DayField({ day, onDay }: Props) {
  const [own, setOwn] = useState(day);
  useEffect(() => setOwn(day), [day]);
  const change = (next: string) => {
    setOwn(next);
    onDay(next);
  };

  return (
    <label>
      Day <input value={own} onChange={(event) => change(event.target.value)} />
    </label>
  );
}
