<script setup lang="ts">
import { type Alarm, alarmChannel } from '@/data/alarm';
import type { Lock } from '@/data/canal';

const { lock } = defineProps<{ lock: Lock }>();

function raise() {
  const channel = new BroadcastChannel(alarmChannel);
  const alarm: Alarm = { lockId: lock.id, lockName: lock.name };
  channel.postMessage(alarm);
  channel.close();
}
</script>

<template>
  <button @click="raise">Raise the alarm</button>
</template>
