/** The frameworks in which the demo ships, with what each shows. */
export const demos = [
  { framework: 'react', says: 'Function and class components, hooks, context and a reducer.' },
  { framework: 'vue', says: 'Single-file components, with script setup and with options.' },
  { framework: 'svelte', says: 'Runes, and some components of the older form.' },
  { framework: 'angular', says: 'Signals and services, with an older module, a directive and a stream.' },
  { framework: 'astro', says: 'Pages of a server, with parts in React, Vue and Svelte that share a store.' },
  { framework: 'elements', says: 'Lit for most, two plain elements, and pages of static HTML.' },
  { framework: 'lwc', says: 'Bundles of a platform, with events across shadow roots and a message channel.' },
] as const;
