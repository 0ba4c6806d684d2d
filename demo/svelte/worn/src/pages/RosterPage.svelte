<script lang="ts">
  import { firstShifts } from '@/data/canal';
  import HintBubble from '@/parts/HintBubble.svelte';
  import ShiftTable from '@/roster/ShiftTable.svelte';
  import AppShell from '@/shell/AppShell.svelte';

  let shifts = $state(firstShifts);

  function swap(id: string) {
    shifts = shifts.map((shift) => (shift.id === id ? { ...shift, keeper: 'to be found' } : shift));
  }
</script>

<AppShell>
  <h1>Roster</h1>
  <HintBubble label="A swapped shift is offered to all keepers.">
    {#snippet children(isOpen)}<p data-open={isOpen}>{shifts.length} shifts this week</p>{/snippet}
  </HintBubble>
  <ShiftTable {shifts} onswap={swap} />
</AppShell>
