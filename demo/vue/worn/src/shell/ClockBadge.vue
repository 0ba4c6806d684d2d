<script setup lang="ts">
import { onMounted, ref } from 'vue';

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const now = ref(new Date());

onMounted(() => {
  setInterval(() => {
    now.value = new Date();
  }, 30_000);
});
</script>

<template>
  <time>{{ clock.format(now) }}</time>
</template>
