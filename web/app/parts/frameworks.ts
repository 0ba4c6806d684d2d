const frameworkNames: Readonly<Record<string, string>> = {
  react: 'React',
  vue: 'Vue',
  svelte: 'Svelte',
  angular: 'Angular',
  lwc: 'Lightning',
  elements: 'Custom elements',
  astro: 'Astro',
};

/** The frameworks of a project in words; empty for none. */
export function frameworkWords(frameworks: readonly string[]): string {
  return frameworks.map((one) => frameworkNames[one] ?? one).join(', ');
}
