<script lang="ts">
  import { getContext } from 'svelte';
  import { keeperKey, type KeeperValue } from './keeper';

  const shift = getContext<KeeperValue>(keeperKey);
  let zone = $state(localStorage.getItem('towpath-zone') ?? 'GMT');

  function summer() {
    zone = 'BST';
    localStorage.setItem('towpath-zone', zone);
  }
</script>

<span>
  {shift.keeper.name}
  <button onclick={summer}>{zone}</button>
  {#if shift.keeper.onDuty}<button onclick={shift.signOff}>Sign off</button>{/if}
</span>
