import { setLevel, useLevel } from '@/data/levels';

type Props = { lockId: string };

export function GateSwitch({ lockId }: Props) {
  const level = useLevel(lockId);

  return (
    <span>
      <button onClick={() => setLevel(lockId, level + 0.1)}>Fill</button>
      <button onClick={() => setLevel(lockId, Math.max(0, level - 0.1))}>Drain</button>
    </span>
  );
}
