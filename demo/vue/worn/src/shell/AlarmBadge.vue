<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue';
import { type Alarm, alarmChannel } from '@/data/alarm';

const alarm = ref<Alarm | null>(null);
const channel = new BroadcastChannel(alarmChannel);

onMounted(() => {
  channel.onmessage = (event: MessageEvent<Alarm>) => {
    alarm.value = event.data;
  };
});
onUnmounted(() => channel.close());
</script>

<template>
  <strong v-if="alarm" role="alert">Alarm at {{ alarm.lockName }}</strong>
</template>
