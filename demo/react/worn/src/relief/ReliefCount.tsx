import { useReliefCount } from './relief';

export function ReliefCount() {
  const count = useReliefCount();

  return <p>{count} can stand in this week.</p>;
}
