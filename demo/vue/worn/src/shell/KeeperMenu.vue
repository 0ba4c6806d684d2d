<script setup lang="ts">
import { useKeeper } from './keeper';

const { keeper, signOff } = useKeeper();
</script>

<template>
  <span>
    {{ keeper.name }}
    <button v-if="keeper.onDuty" @click="signOf">Sign off</button>
  </span>
</template>
