<script setup lang="ts">
import { computed } from 'vue';
import { useLevels } from '@/data/levels';

const { lockId, max } = defineProps<{ lockId: string; max: number }>();
const store = useLevels();
const level = computed(() => store.of(lockId));
const height = computed(() => Math.min(100, (level.value / max) * 100));
</script>

<template>
  <svg viewBox="0 0 40 100" width="40" height="100" role="img" :aria-label="`Level ${level.toFixed(1)} of ${max} metres`">
    <rect width="40" height="100" fill="#dfe7ea" />
    <rect :y="100 - height" width="40" :height="height" fill="#7fa3b5" />
  </svg>
</template>
