declare const __CORE_VERSION__: string | undefined;

/**
 * Stands for the source of all that reads and checks, as it was built: facts and findings that are kept under another one are
 * stale. One word for all of it where nothing was built, as in tests.
 */
export const coreVersion: string = typeof __CORE_VERSION__ === 'string' ? __CORE_VERSION__ : 'unbuilt';
