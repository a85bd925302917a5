/** Whether the server lives, and what it can’t do its work without. */
export interface HealthView {
  readonly version: string;
  readonly database: PartState;
  /** The folder with kept files can be written to. */
  readonly files: PartState;
  /** There is room for more files. */
  readonly disk: PartState;
}

/** Whether a part of the server can be used now. */
export type PartState = 'up' | 'down';
