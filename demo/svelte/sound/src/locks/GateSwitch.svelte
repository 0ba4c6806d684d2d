<script lang="ts">
  import { levels, setLevel } from '@/data/levels';

  let { lockId }: { lockId: string } = $props();
  const fill = (by: number) => setLevel(lockId, Math.max(0, ($levels[lockId] ?? 0) + by));
</script>

<span>
  <button onclick={() => fill(0.1)}>Fill</button>
  <button onclick={() => fill(-0.1)}>Drain</button>
</span>
