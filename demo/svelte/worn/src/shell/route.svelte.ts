/** Which page the address asks for: what stands behind its `#`. */
export const route = $state({ path: location.hash.slice(1) });
