import { createContext } from 'react';

export const TideContext = createContext('slack');
