<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Lock, Passage } from '../data/canal';
import PassageRow from './PassageRow.vue';

const { locks, first, sentence } = defineProps<{ locks: readonly Lock[]; first: readonly Passage[]; sentence: (boat: string) => string }>();
const passages = ref<readonly Passage[]>(first);
const boat = ref('');
const lockId = ref(locks[0]?.id ?? '');
const waiting = computed(() => passages.value.filter((one) => one.status === 'waiting').length);

function book() {
  passages.value = [
    ...passages.value,
    { id: `p${passages.value.length + 1}`, lockId: lockId.value, boat: boat.value, eta: '12:00', status: 'waiting' },
  ];
  document.dispatchEvent(new CustomEvent('passage-booked', { detail: { boat: boat.value } }));
  boat.value = '';
}
function clear(id: string) {
  passages.value = passages.value.map((one) => (one.id === id ? { ...one, status: 'cleared' } : one));
}
</script>

<template>
  <section class="desk">
    <h2><slot name="head">Passages</slot></h2>
    <p>{{ waiting }} waiting. {{ sentence(boat) }}</p>
    <PassageRow v-for="passage of passages" :key="passage.id" :passage="passage" @clear="clear(passage.id)" />
    <form @submit.prevent="book">
      <label>Boat <input v-model="boat" required /></label>
      <select v-model="lockId" aria-label="Lock">
        <option v-for="lock of locks" :key="lock.id" :value="lock.id">{{ lock.name }}</option>
      </select>
      <button>Book</button>
    </form>
  </section>
</template>
