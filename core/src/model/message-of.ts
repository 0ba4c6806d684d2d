/** What an error says; what is thrown without being one says itself. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
