/** A text as the source of a regular expression that finds it as it is written: `$`, `.` and the like stand for themselves. */
export const literalPattern = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
