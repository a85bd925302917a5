import type { StudentAccounts } from '@hapset/core';

export interface SchoolClassView {
  readonly id: string;
  readonly name: string;
  readonly studentAccounts: StudentAccounts;
  readonly deviceIds: readonly string[];
  readonly version: number;
}

export interface CreateSchoolClass {
  readonly name: string;
  readonly studentAccounts: StudentAccounts;
  readonly deviceIds: readonly string[];
}

export interface ChangeSchoolClass extends CreateSchoolClass {
  readonly version: number;
}
