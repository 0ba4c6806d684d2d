import { createContext } from '@lit/context';

/** Who keeps the locks today. */
export const keeperContext = createContext(Symbol('keeper'));
