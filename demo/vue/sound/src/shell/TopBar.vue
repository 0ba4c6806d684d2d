<script setup lang="ts">
import AlarmBadge from './AlarmBadge.vue';
import ClockBadge from './ClockBadge.vue';
import KeeperMenu from './KeeperMenu.vue';
</script>

<template>
  <header class="top-bar">
    <strong>Towpath</strong>
    <nav>
      <RouterLink to="/">Today</RouterLink>
      <RouterLink to="/roster">Roster</RouterLink>
    </nav>
    <AlarmBadge />
    <ClockBadge />
    <KeeperMenu />
  </header>
</template>
