import { defineStore } from 'pinia';

/** How high the water stands in each lock, in metres. */
export const useLevels = defineStore('levels', {
  state: () => ({ levels: { aldermoor: 1.2, quarry: 2.8, saltings: 0.9 } as Record<string, number> }),
  getters: {
    of: (state) => (lockId: string) => state.levels[lockId] ?? 0,
  },
  actions: {
    setLevel(lockId: string, level: number) {
      this.levels[lockId] = level;
    },
  },
});
