/** Tells whether a tag stands for a component: `Card`, `ui.card`, `Über`. The platform's own begin with a small letter. */
export function isComponentTag(tag: string): boolean {
  return !/^[a-z]/.test(tag) || tag.includes('.');
}
