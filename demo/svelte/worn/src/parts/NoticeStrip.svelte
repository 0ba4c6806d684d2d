<script lang="ts">
  import type { Notice } from '@/data/canal';

  let { notices, ondismiss }: { notices: Notice[]; ondismiss: (noticeId: string) => void } = $props();
</script>

<ul class="notice-strip">
  {#each notices as notice (notice.id)}
    <li>{notice.text} <button onclick={() => ondismiss(notice.id)}>Dismiss</button></li>
  {/each}
</ul>
