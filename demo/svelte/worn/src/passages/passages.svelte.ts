import { firstPassages } from '@/data/canal';

/** The passages of one lock, and what a keeper can do with them. */
export function createPassages(lockId: () => string) {
  let all = $state(firstPassages);
  const passages = $derived(all.filter((passage) => passage.lockId === lockId()));
  return {
    get passages() {
      return passages;
    },
    clear(passageId: string) {
      all = all.filter((passage) => passage.id !== passageId);
    },
  };
}
