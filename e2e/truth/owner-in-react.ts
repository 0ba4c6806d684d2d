/** The component that wrote a node, in an application of React in its development form; runs in the page, by itself. */
export function ownerInReact(node: Node): string | undefined {
  type Fiber = { _debugOwner?: { type?: { name?: string } } };
  for (let at: Node | null = node; at; at = at.parentNode) {
    const key = Object.keys(at).find((name) => name.startsWith('__reactFiber$'));
    const name = key ? (at as unknown as Record<string, Fiber>)[key]?._debugOwner?.type?.name : undefined;
    if (name) return name;
  }
  return undefined;
}
