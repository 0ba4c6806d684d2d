import { useState } from 'react';

type Props = { label: string; value: string; onChange: (value: string) => void; onClear?: () => void };

export function DateField({ label, value, onChange }: Props) {
  const [text, setText] = useState(value);

  const change = (next: string) => {
    setText(next);
    onChange(next);
  };

  return (
    <label>
      {label} <input type="time" value={text} onChange={(event) => change(event.target.value)} />
    </label>
  );
}
