/** The name that people know a key of a context by: `key:'theme'` → `theme`, `key:Levels` → `Levels`; all else as it is. */
export const nameOfKey = (source: string): string => source.replace(/^key:/, '').replace(/^'|'$/g, '');
