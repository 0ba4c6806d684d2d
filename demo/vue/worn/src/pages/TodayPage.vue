<script setup lang="ts">
import { computed, ref } from 'vue';
import { firstNotices, firstPassages, locks } from '@/data/canal';
import LockList from '@/locks/LockList.vue';
import LockPanel from '@/locks/LockPanel.vue';
import NoticeStrip from '@/parts/NoticeStrip.vue';
import PassageForm, { type Booking } from '@/passages/PassageForm.vue';
import AppShell from '@/shell/AppShell.vue';

const notices = ref(firstNotices);
const passages = ref(firstPassages);
const selectedLock = ref<string | null>(null);
const selected = computed(() => locks.find((lock) => lock.id === selectedLock.value));
const waiting = computed(() => passages.value.filter((one) => one.lockId === selectedLock.value && one.status === 'waiting'));

const dismiss = (id: string) => {
  notices.value = notices.value.filter((notice) => notice.id !== id);
};
const book = (booking: Booking) => {
  passages.value.push({ ...booking, id: crypto.randomUUID(), status: 'waiting' });
};
const clear = (id: string) => {
  passages.value = passages.value.map((passage) => (passage.id === id ? { ...passage, status: 'cleared' } : passage));
};
</script>

<template>
  <AppShell>
    <NoticeStrip :notices="notices" @dismiss="dismiss" />
    <LockList :locks="locks" :passages="passages" :selected-lock="selectedLock" @select="selectedLock = $event" @clear="clear" />
    <LockPanel v-if="selected" :lock="selected" :waiting="waiting" @clear="clear" />
    <PassageForm :locks="locks" @book="book" />
  </AppShell>
</template>
