<script lang="ts">
  import type { Lock, Passage } from '@/data/canal';
  import LockCard from './LockCard.svelte';

  type Props = { locks: Lock[]; passages: Passage[]; selectedLock: string | null; onselect: (lockId: string) => void };
  let { locks, passages, selectedLock, onselect }: Props = $props();
</script>

<ul class="lock-list">
  {#each locks as lock (lock.id)}
    <li data-selected={lock.id === selectedLock}>
      <LockCard {lock} {passages} isSelected={lock.id === selectedLock} {onselect} />
    </li>
  {/each}
</ul>
