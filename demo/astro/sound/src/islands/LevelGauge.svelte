<script lang="ts">
  import { $levels as levels } from '../stores/levels';

  let { lockId, max }: { lockId: string; max: number } = $props();
  const level = $derived($levels[lockId] ?? 0);
</script>

<label class="gauge">
  Level
  <meter min={0} {max} value={level}></meter>
  {level.toFixed(1)} m
</label>
