<script setup lang="ts">
import type { Notice } from '@/data/canal';

defineProps<{ notices: Notice[] }>();
const emit = defineEmits<{ dismiss: [noticeId: string] }>();
</script>

<template>
  <ul class="notice-strip">
    <li v-for="notice in notices">{{ notice.text }} <button @click="emit('dismiss', notice.id)">Dismiss</button></li>
    <li><button @click="notices.splice(0)">Dismiss all</button></li>
  </ul>
</template>
