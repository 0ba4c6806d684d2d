<script setup lang="ts">
import { reactive } from 'vue';
import type { Lock } from '@/data/canal';
import DateField from '@/parts/DateField.vue';

export type Booking = { lockId: string; boat: string; eta: string };

const { locks } = defineProps<{ locks: Lock[] }>();
const emit = defineEmits<{ book: [booking: Booking] }>();
const form = reactive<Booking>({ lockId: locks[0]?.id ?? '', boat: '', eta: '12:00' });

function submit() {
  emit('book', { ...form });
  form.boat = '';
}
</script>

<template>
  <form @submit.prevent="submit">
    <label>Boat <input v-model.trim="form.boat" required /></label>
    <label>
      Lock
      <select v-model="form.lockId">
        <option v-for="lock in locks" :key="lock.id" :value="lock.id">{{ lock.name }}</option>
      </select>
    </label>
    <DateField v-model="form.eta" label="Arrives" />
    <button>Book</button>
  </form>
</template>
