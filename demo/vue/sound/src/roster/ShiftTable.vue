<script setup lang="ts">
import type { Shift } from '@/data/canal';
import ShiftCell from './ShiftCell.vue';

defineProps<{ shifts: Shift[] }>();
const emit = defineEmits<{ swap: [shiftId: string] }>();
</script>

<template>
  <table class="shift-table">
    <tbody>
      <ShiftCell v-for="shift in shifts" :key="shift.id" :shift="shift" @swap="emit('swap', $event)" />
    </tbody>
  </table>
</template>
