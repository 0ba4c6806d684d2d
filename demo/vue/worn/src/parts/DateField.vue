<script setup lang="ts">
defineProps<{ label: string; modelValue: string }>();
</script>

<template>
  <label>
    {{ label }}
    <input :value="modelValue" type="time" />
  </label>
</template>
