<script setup lang="ts">
import { ref } from 'vue';
import { firstShifts } from '@/data/canal';
import HintBubble from '@/parts/HintBubble.vue';
import ShiftTable from '@/roster/ShiftTable.vue';
import AppShell from '@/shell/AppShell.vue';

const shifts = ref(firstShifts);

function swap(id: string) {
  shifts.value = shifts.value.map((shift) => (shift.id === id ? { ...shift, keeper: 'to be found' } : shift));
}
</script>

<template>
  <AppShell>
    <h1>Roster</h1>
    <HintBubble tone="calm" label="A swapped shift is offered to all keepers.">
      <p>{{ shifts.length }} shifts this week</p>
    </HintBubble>
    <ShiftTable :shifts="shifts" @swap="swap" />
  </AppShell>
</template>
