<script lang="ts">
  let { name }: { name: string } = $props();
</script>

<strong>{name}</strong>
