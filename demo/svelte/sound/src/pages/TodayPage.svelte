<script lang="ts">
  import { firstNotices, firstPassages, locks } from '@/data/canal';
  import LockCard from '@/locks/LockCard.svelte';
  import LockList from '@/locks/LockList.svelte';
  import LockPanel from '@/locks/LockPanel.svelte';
  import NoticeStrip from '@/parts/NoticeStrip.svelte';
  import PassageForm, { type Booking } from '@/passages/PassageForm.svelte';
  import AppShell from '@/shell/AppShell.svelte';

  let notices = $state(firstNotices);
  let passages = $state(firstPassages);
  let selectedLock = $state<string | null>(null);
  const selected = $derived(locks.find((lock) => lock.id === selectedLock));
  const waiting = $derived(passages.filter((one) => one.lockId === selectedLock && one.status === 'waiting'));

  const dismiss = (id: string) => {
    notices = notices.filter((notice) => notice.id !== id);
  };
  const book = (booking: Booking) => {
    passages.push({ ...booking, id: crypto.randomUUID(), status: 'waiting' });
  };
  const clear = (id: string) => {
    passages = passages.map((passage) => (passage.id === id ? { ...passage, status: 'cleared' } : passage));
  };
</script>

<AppShell>
  <NoticeStrip {notices} ondismiss={dismiss} />
  <LockList {locks} {selectedLock}>
    {#snippet card(lock, isSelected)}
      <LockCard
        {lock}
        passages={passages.filter((passage) => passage.lockId === lock.id)}
        {isSelected}
        onselect={(lockId) => (selectedLock = lockId)}
        onclear={clear}
      />
    {/snippet}
  </LockList>
  {#if selected}
    <LockPanel lock={selected} {waiting} onclear={clear} />
  {/if}
  <PassageForm {locks} onbook={book} />
</AppShell>
