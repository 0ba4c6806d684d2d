<script setup lang="ts">
import { provide, ref } from 'vue';
import type { Keeper } from '@/data/canal';
import { keeperKey } from './keeper';
import TopBar from './TopBar.vue';

const keeper = ref<Keeper>({ name: 'M. Oake', onDuty: true });
const signOff = () => {
  keeper.value = { ...keeper.value, onDuty: false };
};

provide(keeperKey, { keeper, signOff });
</script>

<template>
  <div>
    <TopBar />
    <main><slot /></main>
  </div>
</template>
