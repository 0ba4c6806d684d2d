<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Passage } from '@/data/canal';
  import PassageRow from './PassageRow.svelte';

  type Props = { items: Passage[]; dense?: boolean; empty?: Snippet };
  let { items, dense = false, empty }: Props = $props();
</script>

{#if items.length === 0}
  <p class="hint">{#if empty}{@render empty()}{:else}Clear.{/if}</p>
{:else}
  <ul class="passage-queue" data-dense={dense}>
    {#each items as item (item.id)}
      <PassageRow boat={item.boat} status={item.status} />
    {/each}
  </ul>
{/if}
