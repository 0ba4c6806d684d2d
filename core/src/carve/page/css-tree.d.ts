// The parts of the parser that are used alone have no types of their own.
declare module 'css-tree/parser' {
  export { parse as default } from 'css-tree';
}
declare module 'css-tree/generator' {
  export { generate as default } from 'css-tree';
}
declare module 'css-tree/walker' {
  export { walk as default } from 'css-tree';
}
declare module 'css-tree/utils' {
  export { ident } from 'css-tree';
}
