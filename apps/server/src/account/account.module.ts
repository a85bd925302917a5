import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SchoolModule } from '../school/school.module.js';
import { Account } from './account.entity.js';
import { SessionController } from './session.controller.js';
import { Session } from './session.entity.js';
import { SessionService } from './session.service.js';
import { SignInAttempt } from './sign-in-attempt.entity.js';

@Module({
  imports: [TypeOrmModule.forFeature([Account, Session, SignInAttempt]), SchoolModule],
  controllers: [SessionController],
  providers: [SessionService],
  exports: [SessionService],
})
export class AccountModule {}
