<script setup lang="ts">
import { type Alarm, alarmChannel } from '@/data/alarm';
import type { Keeper, Lock } from '@/data/canal';

const { lock, keeper } = defineProps<{ lock: Lock; keeper?: Keeper }>();

function raise() {
  const channel = new BroadcastChannel(alarmChannel);
  const alarm: Alarm = { lockId: lock.id, lockName: lock.name };
  channel.postMessage({ ...alarm, raisedBy: keeper!.name });
  channel.close();
}
</script>

<template>
  <button @click="raise">Raise the alarm</button>
</template>
