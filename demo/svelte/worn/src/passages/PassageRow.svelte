<script lang="ts">
  import { getContext } from 'svelte';
  import type { Status } from '@/data/canal';
  import { keeperKey, type KeeperValue } from '@/shell/keeper';
  import BoatBadge from './BoatBadge.svelte';
  import StatusPill from './StatusPill.svelte';

  type Props = { boat: string; status: Status; eta: string };
  let { boat, status, eta }: Props = $props();
  const { keeper } = getContext<KeeperValue>(keeperKey);
</script>

<li class="passage-row">
  <time>{eta}</time>
  <BoatBadge name={boat} />
  <StatusPill {status} canClear={keeper.onDuty} />
</li>
