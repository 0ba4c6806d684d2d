<script lang="ts">
  import type { Shift } from '@/data/canal';
  import NoteField from './NoteField.svelte';

  let { shift, onswap }: { shift: Shift; onswap: (shiftId: string) => void } = $props();
  let note = $state('');
  let saves = $state(0);
</script>

<tr>
  <td>{shift.day}</td>
  <td>{shift.hours}</td>
  <td>{shift.keeper} <button onclick={() => onswap(shift.id)}>Swap</button></td>
  <td><NoteField shiftId={shift.id} bind:note on:save={() => (saves += 1)} /> {saves > 0 ? note : ''}</td>
</tr>
