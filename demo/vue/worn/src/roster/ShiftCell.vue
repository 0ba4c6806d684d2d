<script setup lang="ts">
import type { Shift } from '@/data/canal';
import NoteField from './NoteField.vue';

defineProps<{ shift: Shift }>();
const emit = defineEmits<{ swap: [shiftId: string]; mark: [] }>();
</script>

<template>
  <tr>
    <td>{{ shift.day }}</td>
    <td>{{ shift.hours }}</td>
    <td>{{ shift.keeper }} <button @click="emit('swap', shift.id)">Swap</button></td>
    <td><NoteField :shift-id="shift.id" /></td>
  </tr>
</template>
