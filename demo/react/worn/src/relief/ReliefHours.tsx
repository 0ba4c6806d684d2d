import { ReliefSum } from './ReliefSum';

type Props = { hours: number; word: string };

export function ReliefHours({ hours, word }: Props) {
  return <ReliefSum hours={hours} word={word} />;
}
