<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { useLevels } from '@/data/levels';

const { lockId } = defineProps<{ lockId: string }>();
const store = useLevels();
const { levels } = storeToRefs(store);

function fill(by: number) {
  store.setLevel(lockId, Math.max(0, (levels.value[lockId] ?? 0) + by));
}
</script>

<template>
  <span>
    <button @click="fill(0.1)">Fill</button>
    <button @click="fill(-0.1)">Drain</button>
  </span>
</template>
