<script lang="ts">
  import { type Snippet, setContext } from 'svelte';
  import type { Keeper } from '@/data/canal';
  import { keeperKey } from './keeper';
  import TopBar from './TopBar.svelte';

  let { children }: { children: Snippet } = $props();
  let keeper = $state<Keeper>({ name: 'M. Oake', onDuty: true });

  setContext(keeperKey, {
    get keeper() {
      return keeper;
    },
    signOff: () => {
      keeper.onDuty = false;
    },
  });
</script>

<TopBar />
<main>{@render children()}</main>
