export interface HealthView {
  readonly version: string;
  readonly database: 'up' | 'down';
}
