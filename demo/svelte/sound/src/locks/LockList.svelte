<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Lock } from '@/data/canal';

  type Props = { locks: Lock[]; selectedLock: string | null; card: Snippet<[Lock, boolean]> };
  let { locks, selectedLock, card }: Props = $props();
</script>

<ul class="lock-list">
  {#each locks as lock (lock.id)}
    <li data-selected={lock.id === selectedLock}>{@render card(lock, lock.id === selectedLock)}</li>
  {/each}
</ul>
