<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Passage } from '@/data/canal';
  import PassageRow from './PassageRow.svelte';

  type Props = { items: Passage[]; dense?: boolean; onclear?: (passageId: string) => void; empty?: Snippet };
  let { items, dense = false, onclear, empty }: Props = $props();
</script>

{#if items.length === 0}
  <p class="hint">{#if empty}{@render empty()}{:else}Clear.{/if}</p>
{:else}
  <ul class="passage-queue" data-dense={dense}>
    {#each items as item (item.id)}
      <PassageRow boat={item.boat} status={item.status} eta={item.eta} onclear={() => onclear?.(item.id)} />
    {/each}
  </ul>
{/if}
