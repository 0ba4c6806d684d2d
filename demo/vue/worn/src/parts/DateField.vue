<script setup lang="ts">
defineProps<{ label: string }>();
const time = defineModel<string>({ required: true });
</script>

<template>
  <label>
    {{ label }}
    <input v-model="time" type="time" />
  </label>
</template>
