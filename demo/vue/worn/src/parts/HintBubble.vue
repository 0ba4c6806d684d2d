<script setup lang="ts">
import { ref } from 'vue';

defineProps<{ label: string }>();
const isOpen = ref(false);
</script>

<template>
  <slot :is-open="isOpen" />
  <button :aria-expanded="isOpen" @click="isOpen = !isOpen">?</button>
  <small v-if="isOpen" class="hint">{{ label }}</small>
</template>
