type Props = { hours: number; word: string };

export function ReliefSum({ hours, word }: Props) {
  return (
    <p>
      {hours} {word}
    </p>
  );
}
