import { Injectable } from '@nestjs/common';
import type { StaffMember, StaffView } from '@hapset/contract';
import { DataSource } from 'typeorm';
import { notFound } from '../../platform/problem/problem.js';
import { AccountLinks } from '../account-link/account-links.js';
import { staffQuery, toStaffMember, type StaffRow } from './staff.view.js';

@Injectable()
export class StaffList {
  constructor(
    private readonly dataSource: DataSource,
    private readonly links: AccountLinks,
  ) {}

  async view(): Promise<StaffView> {
    const rows = (await this.dataSource.query(`${staffQuery} ORDER BY accounts.name, accounts.id`)) as StaffRow[];
    return { staff: rows.map(toStaffMember), invitations: await this.links.invitations() };
  }

  /** @throws ProblemError not-found */
  async find(accountId: string): Promise<StaffMember> {
    const [row] = (await this.dataSource.query(`${staffQuery} WHERE accounts.id = ?`, [accountId])) as StaffRow[];
    if (!row) throw notFound('account');
    return toStaffMember(row);
  }
}
