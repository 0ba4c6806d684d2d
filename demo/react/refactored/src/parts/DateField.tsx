type Props = { label: string; value: string; onPick: (value: string) => void };

export function DateField({ label, value, onPick }: Props) {
  return (
    <label>
      {label} <input type="time" value={value} onChange={(event) => onPick(event.target.value)} />
    </label>
  );
}
