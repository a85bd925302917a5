import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { AccountModule } from '../account/account.module.js';
import { OwnedIds } from './owned-ids.js';
import { OwnershipGuard } from './ownership.guard.js';

@Module({ imports: [AccountModule], providers: [OwnedIds, { provide: APP_GUARD, useClass: OwnershipGuard }] })
export class OwnershipModule {}
