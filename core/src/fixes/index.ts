export { applyEdits, patchOf } from './patch';
