<script lang="ts">
  import type { Snippet } from 'svelte';

  let { label, children }: { label: string; children: Snippet<[boolean]> } = $props();
  let isOpen = $state(false);
</script>

<span>
  {@render children(isOpen)}
  <button aria-expanded={isOpen} onclick={() => (isOpen = !isOpen)}>?</button>
  {#if isOpen}<small class="hint">{label}</small>{/if}
</span>
