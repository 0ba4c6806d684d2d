<script setup lang="ts">
import type { Passage } from '@/data/canal';
import PassageRow from './PassageRow.vue';

const { items, dense = false } = defineProps<{ items: Passage[]; dense?: boolean }>();
const emit = defineEmits<{ clear: [passageId: string] }>();
</script>

<template>
  <p v-if="items.length === 0" class="hint"><slot name="empty">Clear.</slot></p>
  <ul v-else class="passage-queue" :data-dense="dense">
    <PassageRow
      v-for="item in items"
      :key="item.id"
      :boat="item.boat"
      :status="item.status"
      :eta="item.eta"
      @clear="emit('clear', item.id)"
    />
  </ul>
</template>
