import { Module } from '@nestjs/common';
import { AccountModule } from '../account/account.module.js';
import { OwnAccountController } from './own-account.controller.js';
import { OwnAccountService } from './own-account.service.js';

@Module({
  imports: [AccountModule],
  controllers: [OwnAccountController],
  providers: [OwnAccountService],
})
export class OwnAccountModule {}
