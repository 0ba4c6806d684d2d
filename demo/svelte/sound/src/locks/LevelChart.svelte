<script lang="ts">
  import { highest, levels } from '@/data/levels';

  let { lockId, max }: { lockId: string; max: number } = $props();
  const level = $derived($levels[lockId] ?? 0);
  const height = $derived(Math.min(100, (level / max) * 100));
</script>

<svg viewBox="0 0 40 100" width={40} height={100} role="img" aria-label="Level {level.toFixed(1)} of {max} metres">
  <rect width={40} height={100} fill="#dfe7ea" />
  <rect y={100 - height} width={40} {height} fill={level === $highest ? '#4f7d94' : '#7fa3b5'} />
</svg>
