<script setup lang="ts">
defineProps<{ name: string }>();
</script>

<template>
  <strong>{{ name }}</strong>
</template>
