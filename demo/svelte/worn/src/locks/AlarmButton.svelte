<script lang="ts">
  import { type Alarm, alarmChannel } from '@/data/alarm';
  import type { Lock } from '@/data/canal';

  let { lock }: { lock: Lock } = $props();

  function raise() {
    const channel = new BroadcastChannel(alarmChannel);
    const alarm: Alarm = { lockId: lock.id, lockName: lock.name };
    channel.postMessage(alarm);
    channel.close();
  }
</script>

<button onclick={raise}>Raise the alarm</button>
