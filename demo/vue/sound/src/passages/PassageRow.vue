<script setup lang="ts">
import type { Status } from '@/data/canal';
import { useKeeper } from '@/shell/keeper';
import BoatBadge from './BoatBadge.vue';
import StatusPill from './StatusPill.vue';

defineProps<{ boat: string; status: Status; eta: string }>();
const emit = defineEmits<{ clear: [] }>();
const { keeper } = useKeeper();
</script>

<template>
  <li class="passage-row">
    <time>{{ eta }}</time>
    <BoatBadge :name="boat" />
    <StatusPill :status="status" :can-clear="keeper.onDuty" @clear="emit('clear')" />
  </li>
</template>
