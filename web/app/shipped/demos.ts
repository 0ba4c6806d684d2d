/** The frameworks in which the demo ships, with what each shows, and whether there is a version after a refactor. */
export const demos = [
  { framework: 'react', says: 'Function and class components, hooks, context and a reducer.', refactored: true },
  { framework: 'vue', says: 'Single-file components, with script setup and with options.', refactored: false },
  { framework: 'svelte', says: 'Runes, and some components of the older form.', refactored: false },
  { framework: 'angular', says: 'Signals and services, with an older module, a directive and a stream.', refactored: false },
  { framework: 'astro', says: 'Pages of a server, with parts in React, Vue and Svelte that share a store.', refactored: false },
  { framework: 'elements', says: 'Lit for most, two plain elements, and pages of static HTML.', refactored: false },
  { framework: 'lwc', says: 'Bundles of a platform, with events across shadow roots and a message channel.', refactored: false },
] as const;
