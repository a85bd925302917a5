/** What a code that was read says, compared with what the one who asks has. */
export interface InspectCode {
  /** As it was read, character by character. */
  readonly payload: string;
}

/** What is known here of what a code says. */
export interface CodeInspection {
  /** Materials whose code says just that, or leads there. */
  readonly known: readonly KnownMaterial[];
}

/** A material of the teacher's whose code says the same. */
export interface KnownMaterial {
  readonly materialId: string;
  readonly title: string;
  /** True where the code carries exactly that now; false where it leads to the same, or was carried otherwise. */
  readonly exact: boolean;
  /** Lessons in which it hangs. */
  readonly stations: readonly {
    readonly stationId: string;
    readonly lessonId: string;
    readonly lessonName: string;
    /** From 1. */ readonly position: number;
  }[];
}

/** What somebody may do who is not signed in, from where the request came. */
export interface VisitorRights {
  readonly mayInspect: boolean;
}
