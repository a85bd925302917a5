/** Whether the server lives, and its database. */
export interface HealthView {
  readonly version: string;
  readonly database: 'up' | 'down';
}
