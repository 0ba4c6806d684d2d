import { useLevel } from '@/data/levels';

type Props = { lockId: string; rise: number };

export function LevelGauge({ lockId, rise }: Props) {
  const level = useLevel(lockId);

  return (
    <label>
      Level <meter className="gauge" min={0} max={rise} value={level} /> {level.toFixed(1)} m
    </label>
  );
}
