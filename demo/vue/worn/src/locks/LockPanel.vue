<script setup lang="ts">
import type { Lock, Passage } from '@/data/canal';
import HintBubble from '@/parts/HintBubble.vue';
import StatusPill from '@/passages/StatusPill.vue';
import AlarmButton from './AlarmButton.vue';
import LevelChart from './LevelChart.vue';

defineProps<{ lock: Lock; waiting: Passage[] }>();
const emit = defineEmits<{ clear: [passageId: string] }>();
</script>

<template>
  <aside>
    <h2>{{ lock.name }}</h2>
    <HintBubble v-slot="{ isShown }" label="Boats that have asked for a passage and are not through yet.">
      <p :data-open="isShown">{{ waiting.length }} waiting</p>
    </HintBubble>
    <StatusPill v-for="passage in waiting" :key="passage.id" :status="passage.status" can-clear @clear="emit('clear', passage.id)" />
    <LevelChart :lock-id="lock.id" :max="lock.rise" />
    <AlarmButton :lock="lock" />
  </aside>
</template>
