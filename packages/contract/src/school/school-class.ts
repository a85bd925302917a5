import type { StudentAccounts } from '@hapset/core';

/** A class with the devices that it scans with. */
export interface SchoolClassView {
  readonly id: string;
  readonly name: string;
  readonly studentAccounts: StudentAccounts;
  readonly deviceIds: readonly string[];
  readonly version: number;
}

/** What a class needs to be made. */
export interface CreateSchoolClass {
  readonly name: string;
  readonly studentAccounts: StudentAccounts;
  readonly deviceIds: readonly string[];
}

/** All of a class under the version that was seen. */
export interface ChangeSchoolClass extends CreateSchoolClass {
  readonly version: number;
}
