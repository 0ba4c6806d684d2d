<script lang="ts">
  import LockPage from './pages/LockPage.svelte';
  import RosterPage from './pages/RosterPage.svelte';
  import TodayPage from './pages/TodayPage.svelte';

  /** Which page the address asks for: what stands behind its `#`. */
  let path = $state(location.hash.slice(1));
  const lockId = $derived(/^\/locks\/(.+)$/.exec(path)?.[1]);
</script>

<svelte:window onhashchange={() => (path = location.hash.slice(1))} />

{#if path === '/roster'}
  <RosterPage />
{:else if lockId}
  <LockPage {lockId} />
{:else}
  <TodayPage />
{/if}
