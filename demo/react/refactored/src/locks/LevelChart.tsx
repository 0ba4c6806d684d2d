import { useLevel } from '@/data/levels';

type Props = { lockId: string; max: number };

export function LevelChart({ lockId, max }: Props) {
  const level = useLevel(lockId);
  const height = Math.min(100, (level / max) * 100);

  return (
    <svg viewBox="0 0 40 100" width={40} height={100} role="img" aria-label={`Level ${level.toFixed(1)} of ${max} metres`}>
      <rect width={40} height={100} fill="#dfe7ea" />
      <rect y={100 - height} width={40} height={height} fill="#7fa3b5" />
    </svg>
  );
}
