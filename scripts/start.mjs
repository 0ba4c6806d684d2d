// Serves the built application and prints where it is.
process.env.NODE_ENV ??= 'production';
await (
  await import('./server.mjs')
).listening;

const port = process.env.PORT ?? '4310';
const address = `http://localhost:${port}`;
console.log(`Liana is at ${address}`);
console.log(`The demo opens at ${address}/demo`);
