<script lang="ts">
  import type { Lock, Passage } from '@/data/canal';
  import PassageQueue from '@/passages/PassageQueue.svelte';
  import GateSwitch from './GateSwitch.svelte';
  import LevelGauge from './LevelGauge.svelte';

  type Props = {
    lock: Lock;
    passages: Passage[];
    isSelected: boolean;
    onselect: (lockId: string) => void;
    onclear: (passageId: string) => void;
  };
  let { lock, passages, isSelected, onselect, onclear }: Props = $props();
</script>

<article class="lock-card" data-selected={isSelected}>
  <h2><button onclick={() => onselect(lock.id)}>{lock.name}</button></h2>
  <LevelGauge lockId={lock.id} max={lock.rise} />
  <GateSwitch lockId={lock.id} />
  <PassageQueue items={passages} {onclear}>
    {#snippet empty()}Nobody waits at {lock.name}.{/snippet}
  </PassageQueue>
</article>
