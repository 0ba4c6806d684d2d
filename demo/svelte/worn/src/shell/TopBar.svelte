<script lang="ts">
  import AlarmBadge from './AlarmBadge.svelte';
  import ClockBadge from './ClockBadge.svelte';
  import KeeperMenu from './KeeperMenu.svelte';
</script>

<header class="top-bar">
  <strong>Towpath</strong>
  <nav>
    <a href="#/">Today</a>
    <a href="#/roster">Roster</a>
  </nav>
  <AlarmBadge />
  <ClockBadge />
  <KeeperMenu />
</header>
