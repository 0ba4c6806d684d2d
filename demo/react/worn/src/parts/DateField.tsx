type Props = { label: string; value: string; onChange: (value: string) => void };

export function DateField({ label, value, onChange }: Props) {
  return (
    <label>
      {label} <input type="time" value={value} onChange={(event) => onChange(event.target.value)} />
    </label>
  );
}
