<script setup lang="ts">
import type { Passage } from '../data/canal';

const { passage } = defineProps<{ passage: Passage }>();
const emit = defineEmits<{ clear: [] }>();
</script>

<template>
  <p class="passage-row">
    {{ passage.boat }} at {{ passage.eta }}: {{ passage.status }}
    <button v-if="passage.status === 'waiting'" type="button" @click="emit('clear')">Clear</button>
  </p>
</template>
