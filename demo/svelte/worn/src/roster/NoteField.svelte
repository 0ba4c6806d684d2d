<!-- Left from earlier days, before runes. -->
<script lang="ts">
  import { createEventDispatcher } from 'svelte';

  export let shiftId: string;
  export let note = '';

  const dispatch = createEventDispatcher<{ save: string }>();
  let saved = note;
  $: placeholder = `Note for ${shiftId}`;
  $: isSaved = note === saved;

  function save() {
    saved = note;
    dispatch('save', note);
  }
</script>

<label>
  <input bind:value={note} {placeholder} />
  {#if !isSaved}<button on:click={save}>Save</button>{/if}
</label>
