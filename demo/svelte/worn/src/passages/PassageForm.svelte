<script lang="ts" module>
  export type Booking = { lockId: string; boat: string; eta: string };
</script>

<script lang="ts">
  import { type Lock, locks as allLocks } from '@/data/canal';
  import DateField from '@/parts/DateField.svelte';

  let { locks, onbook }: { locks: Lock[]; onbook: (booking: Booking) => void } = $props();
  let form = $state<Booking>({ lockId: allLocks[0]?.id ?? '', boat: '', eta: '12:00' });

  function submit(event: SubmitEvent) {
    event.preventDefault();
    onbook({ ...form });
    form.boat = '';
  }
</script>

<form onsubmit={submit}>
  <label>Boat <input required bind:value={form.boat} /></label>
  <label>
    Lock
    <select bind:value={form.lockId}>
      {#each locks as lock (lock.id)}
        <option value={lock.id}>{lock.name}</option>
      {/each}
    </select>
  </label>
  <DateField label="Arrives" bind:value={form.eta} />
  <button>Book</button>
</form>
