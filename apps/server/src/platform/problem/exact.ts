/**
 * Guards a DTO against drifting from its contract type: `implements` alone lets optional and narrowed fields pass.
 * `const same: Exact<Plain<CreateLessonDto>, Plain<CreateLesson>> = true;`
 */
export type Exact<A, B> = (<T>() => T extends A ? 1 : 2) extends <T>() => T extends B ? 1 : 2 ? true : false;

/** The shape without `readonly`, all the way down. */
export type Plain<T> = T extends readonly (infer Item)[]
  ? Plain<Item>[]
  : T extends object
    ? { -readonly [Key in keyof T]: Plain<T[Key]> }
    : T;
