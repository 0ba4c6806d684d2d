<script lang="ts">
  import type { Shift } from '@/data/canal';
  import ShiftCell from './ShiftCell.svelte';

  let { shifts, onswap }: { shifts: Shift[]; onswap: (shiftId: string) => void } = $props();
</script>

<table class="shift-table">
  <tbody>
    {#each shifts as shift (shift.id)}
      <ShiftCell {shift} {onswap} />
    {/each}
  </tbody>
</table>
