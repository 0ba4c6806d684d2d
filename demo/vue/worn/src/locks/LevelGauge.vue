<script setup lang="ts">
import { computed } from 'vue';
import { useLevels } from '@/data/levels';

const { lockId, max } = defineProps<{ lockId: string; max: number }>();
const store = useLevels();
const level = computed(() => store.of(lockId));
</script>

<template>
  <label>Level <meter class="gauge" :min="0" :max="max" :value="level" /> {{ level.toFixed(1) }} m</label>
</template>
