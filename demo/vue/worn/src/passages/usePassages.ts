import { computed, type Ref, ref } from 'vue';
import { firstPassages } from '@/data/canal';

/** The passages of one lock, and what a keeper can do with them. */
export function usePassages(lockId: Ref<string>) {
  const all = ref(firstPassages);
  const passages = computed(() => all.value.filter((passage) => passage.lockId === lockId.value));
  const clear = (passageId: string) => {
    all.value = all.value.filter((passage) => passage.id !== passageId);
  };
  return { passages, clear };
}
