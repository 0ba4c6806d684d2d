<script lang="ts">
import { defineComponent } from 'vue';
import { keeperKey } from '@/shell/keeper';

/** Left from earlier days, when all of the board was written in options. */
export default defineComponent({
  inject: { signedIn: { from: keeperKey } },
  props: { shiftId: { type: String, required: true } },
  data() {
    return { note: '', isSaved: true };
  },
  computed: {
    placeholder(): string {
      return `Note for ${this.shiftId}`;
    },
  },
  watch: {
    note() {
      this.isSaved = false;
    },
  },
  methods: {
    save() {
      this.isSaved = true;
    },
  },
});
</script>

<template>
  <label>
    <input v-model="note" :placeholder="placeholder" />
    <button v-if="!isSaved" @click="save">Save</button>
  </label>
</template>
