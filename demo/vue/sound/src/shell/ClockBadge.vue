<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue';

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const now = ref(new Date());
let timer: ReturnType<typeof setInterval> | undefined;

onMounted(() => {
  timer = setInterval(() => {
    now.value = new Date();
  }, 30_000);
});
onUnmounted(() => clearInterval(timer));
</script>

<template>
  <time>{{ clock.format(now) }}</time>
</template>
