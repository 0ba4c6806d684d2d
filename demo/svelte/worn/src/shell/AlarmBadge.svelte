<script lang="ts">
  import { onMount } from 'svelte';
  import { type Alarm, alarmChannel } from '@/data/alarm';

  let alarm = $state<Alarm | null>(null);

  onMount(() => {
    const channel = new BroadcastChannel(alarmChannel);
    channel.onmessage = (event: MessageEvent<Alarm>) => {
      alarm = event.data;
    };
    return () => channel.close();
  });
</script>

{#if alarm}<strong role="alert">Alarm at {alarm.lockName}</strong>{/if}
