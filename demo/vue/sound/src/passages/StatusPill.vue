<script setup lang="ts">
import type { Status } from '@/data/canal';

defineProps<{ status: Status; canClear: boolean }>();
const emit = defineEmits<{ clear: [] }>();
</script>

<template>
  <span class="pill" :data-tone="status">
    {{ status }}
    <button v-if="canClear && status !== 'cleared'" @click="emit('clear')">Clear</button>
  </span>
</template>
