<script lang="ts">
  import type { Status } from '@/data/canal';

  type Props = { status: Status; canClear: boolean; onclear?: () => void };
  let { status, canClear, onclear }: Props = $props();
</script>

<span class="pill" data-tone={status}>
  {status}
  {#if canClear && status !== 'cleared'}<button onclick={() => onclear?.()}>Clear</button>{/if}
</span>
