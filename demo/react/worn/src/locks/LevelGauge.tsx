import { useLevel } from '@/data/levels';

type Props = { lockId: string; max: number };

export function LevelGauge({ lockId, max }: Props) {
  const level = useLevel(lockId);

  return (
    <label>
      Level <meter className="gauge" min={0} max={max} value={level} /> {level.toFixed(1)} m
    </label>
  );
}
