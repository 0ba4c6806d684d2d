<script lang="ts">
  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
  let now = $state(new Date());
  let zone = $state(localStorage.getItem('towpath-zone') ?? 'GMT');

  $effect(() => {
    setInterval(() => {
      now = new Date();
    }, 30_000);
  });
</script>

<time>{clock.format(now)} {zone}</time>
