<script lang="ts">
  import LockPage from './pages/LockPage.svelte';
  import RosterPage from './pages/RosterPage.svelte';
  import TodayPage from './pages/TodayPage.svelte';
  import { route } from './shell/route.svelte';

  const lockId = $derived(/^\/locks\/(.+)$/.exec(route.path)?.[1]);
</script>

<svelte:window onhashchange={() => (route.path = location.hash.slice(1))} />

{#if route.path === '/roster'}
  <RosterPage />
{:else if lockId}
  <LockPage {lockId} />
{:else}
  <TodayPage />
{/if}
