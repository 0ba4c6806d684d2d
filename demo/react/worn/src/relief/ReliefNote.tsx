type Props = { note: string; onNote: (note: string) => void };

export function ReliefNote({ note, onNote }: Props) {
  return (
    <label>
      To whoever stands in <textarea value={note} onChange={(event) => onNote(event.target.value)} />
    </label>
  );
}
