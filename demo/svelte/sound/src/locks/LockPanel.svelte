<script lang="ts">
  import type { Lock, Passage } from '@/data/canal';
  import HintBubble from '@/parts/HintBubble.svelte';
  import StatusPill from '@/passages/StatusPill.svelte';
  import AlarmButton from './AlarmButton.svelte';
  import LevelChart from './LevelChart.svelte';

  type Props = { lock: Lock; waiting: Passage[]; onclear: (passageId: string) => void };
  let { lock, waiting, onclear }: Props = $props();
</script>

<aside>
  <h2>{lock.name}</h2>
  <HintBubble label="Boats that have asked for a passage and are not through yet.">
    {#snippet children(isOpen)}<p data-open={isOpen}>{waiting.length} waiting</p>{/snippet}
  </HintBubble>
  {#each waiting as passage (passage.id)}
    <StatusPill status={passage.status} canClear onclear={() => onclear(passage.id)} />
  {/each}
  <LevelChart lockId={lock.id} max={lock.rise} />
  <AlarmButton {lock} />
</aside>
