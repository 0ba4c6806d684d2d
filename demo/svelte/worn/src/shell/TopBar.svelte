<script lang="ts">
  import { gatesOpen } from '@/data/levels';
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
  <small>{$gatesOpen} gates open</small>
  <AlarmBadge />
  <ClockBadge />
  <KeeperMenu />
</header>
