/** A value while it is being built: optional fields are set as they become known, then it is only read. */
export type Writable<T> = { -readonly [Key in keyof T]: T[Key] };
