<script setup lang="ts">
import type { Lock } from '@/data/canal';

defineProps<{ locks: Lock[]; selectedLock: string | null }>();
defineSlots<{ default(given: { lock: Lock; isSelected: boolean }): unknown }>();
</script>

<template>
  <ul class="lock-list">
    <li v-for="lock in locks" :key="lock.id" :data-selected="lock.id === selectedLock">
      <slot :lock="lock" :is-selected="lock.id === selectedLock" />
    </li>
  </ul>
</template>
