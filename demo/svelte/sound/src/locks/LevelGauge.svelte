<script lang="ts">
  import { levels } from '@/data/levels';

  let { lockId, max }: { lockId: string; max: number } = $props();
  const level = $derived($levels[lockId] ?? 0);
</script>

<label>Level <meter class="gauge" min={0} {max} value={level}></meter> {level.toFixed(1)} m</label>
