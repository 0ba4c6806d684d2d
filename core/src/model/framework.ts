/** The frameworks by their ids; `script` for a module of none. Those without an adapter in the registry are not read yet. */
export type Framework = 'react' | 'vue' | 'svelte' | 'angular' | 'lwc' | 'elements' | 'astro' | 'script';
