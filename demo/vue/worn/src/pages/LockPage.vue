<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { locks } from '@/data/canal';
import GateSwitch from '@/locks/GateSwitch.vue';
import LevelChart from '@/locks/LevelChart.vue';
import PassageQueue from '@/passages/PassageQueue.vue';
import { usePassages } from '@/passages/usePassages';

const route = useRoute();
const lockId = computed(() => String(route.params['lockId']));
const lock = computed(() => locks.find((one) => one.id === lockId.value));
const { passages } = usePassages(lockId);
</script>

<template>
  <main>
    <template v-if="lock">
      <h1>{{ lock.name }}</h1>
      <LevelChart :lock-id="lock.id" :max="lock.rise" />
      <p v-if="isShut">Shut until further notice.</p>
      <GateSwitch :lock-id="lock.id">Gates</GateSwitch>
      <LevelChrat :lock-id="lock.id" />
      <PassageQueue :items="passages" dense />
    </template>
    <p v-else>There is no such lock.</p>
  </main>
</template>
