/** The tag by which markup of a class shows the markup of the one that it extends. */
export const superMarkup = 'super:markup';
