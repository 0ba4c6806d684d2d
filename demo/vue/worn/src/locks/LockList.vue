<script setup lang="ts">
import type { Lock, Passage } from '@/data/canal';
import LockCard from './LockCard.vue';

defineProps<{ locks: Lock[]; passages: Passage[]; selectedLock: string | null }>();
const emit = defineEmits<{ select: [lockId: string] }>();
</script>

<template>
  <ul class="lock-list">
    <li v-for="lock in locks" :key="lock.id" :data-selected="lock.id === selectedLock">
      <LockCard :lock="lock" :passages="passages" :is-selected="lock.id === selectedLock" @select="emit('select', $event)" />
    </li>
  </ul>
</template>
