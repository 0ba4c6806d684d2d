<script setup lang="ts">
import { provide, ref } from 'vue';
import type { Shift } from '@/data/canal';
import { keeperKey } from '@/shell/keeper';
import KeeperMenu from '@/shell/KeeperMenu.vue';
import ShiftCell from './ShiftCell.vue';

defineProps<{ shifts: Shift[] }>();
const emit = defineEmits<{ swap: [shiftId: string] }>();

provide(keeperKey, { keeper: ref({ name: 'the roster', onDuty: false }), signOff: () => undefined });
</script>

<template>
  <table class="shift-table">
    <caption>
      Kept by
      <KeeperMenu />
    </caption>
    <tbody>
      <ShiftCell v-for="shift in shifts" :key="shift.id" :shift="shift" @swap="emit('swap', $event)" />
    </tbody>
  </table>
</template>
