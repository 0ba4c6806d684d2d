import type { Passage } from '@/data/canal';

export type PassageAction = { type: 'clear'; passageId: string } | { type: 'hold'; lockId: string };

export function passagesReducer(passages: Passage[], action: PassageAction): Passage[] {
  switch (action.type) {
    case 'clear':
      return passages.filter((passage) => passage.id !== action.passageId);
    case 'hold':
      return passages.map((passage) => (passage.lockId === action.lockId ? { ...passage, status: 'waiting' } : passage));
  }
}
