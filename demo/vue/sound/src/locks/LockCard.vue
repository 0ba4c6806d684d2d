<script setup lang="ts">
import type { Lock, Passage } from '@/data/canal';
import PassageQueue from '@/passages/PassageQueue.vue';
import GateSwitch from './GateSwitch.vue';
import LevelGauge from './LevelGauge.vue';

defineProps<{ lock: Lock; passages: Passage[]; isSelected: boolean }>();
const emit = defineEmits<{ select: [lockId: string]; clear: [passageId: string] }>();
</script>

<template>
  <article class="lock-card" :data-selected="isSelected">
    <h2>
      <button @click="emit('select', lock.id)">{{ lock.name }}</button>
    </h2>
    <LevelGauge :lock-id="lock.id" :max="lock.rise" />
    <GateSwitch :lock-id="lock.id" />
    <PassageQueue :items="passages" @clear="emit('clear', $event)">
      <template #empty>Nobody waits at {{ lock.name }}.</template>
    </PassageQueue>
  </article>
</template>
