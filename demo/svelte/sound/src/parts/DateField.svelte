<script lang="ts">
  let { label, value = $bindable() }: { label: string; value: string } = $props();
</script>

<label>
  {label}
  <input type="time" bind:value />
</label>
