export { type Overlay, overlay } from './align';
export { findGroups, findLikes, type Group } from './groups';
export { likeness, type Shape, shapeOf } from './likeness';
export { elementChildren, elementCount, isElement, isWithin, type MarkupNode, type MarkupTree, spaceLabel, textLabel } from './tree';
