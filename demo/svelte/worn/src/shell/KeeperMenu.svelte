<script lang="ts">
  import { getContext } from 'svelte';
  import { keeperKey, type KeeperValue } from './keeper';

  const shift = getContext<KeeperValue>(keeperKey);
</script>

<span>
  {shift.keeper.name}
  {#if shift.keeper.onDuty}<button onclick={shift.signOff}>Sign off</button>{/if}
</span>
