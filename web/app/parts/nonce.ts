import { createContext } from 'react';

/** The word that scripts of this one answer of the server carry; undefined in the browser, where none is written any more. */
export const NonceContext = createContext<string | undefined>(undefined);
