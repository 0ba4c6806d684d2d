<script lang="ts">
  import { locks } from '@/data/canal';
  import GateSwitch from '@/locks/GateSwitch.svelte';
  import LevelChart from '@/locks/LevelChart.svelte';
  import PassageQueue from '@/passages/PassageQueue.svelte';
  import { createPassages } from '@/passages/passages.svelte';

  let { lockId }: { lockId: string } = $props();
  const lock = $derived(locks.find((one) => one.id === lockId));
  const queue = createPassages(() => lockId);
</script>

<main>
  {#if lock}
    <h1>{lock.name}</h1>
    <LevelChart lockId={lock.id} max={lock.rise} />
    <GateSwitch lockId={lock.id} on:opened={() => location.reload()}>Gates</GateSwitch>
    <PassageQueue items={queue.passages} dense />
  {:else}
    <p>There is no such lock.</p>
  {/if}
</main>
