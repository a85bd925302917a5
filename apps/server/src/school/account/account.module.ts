import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SchoolModule } from '../settings/school.module.js';
import { Account } from './account.entity.js';
import { SessionController } from './session.controller.js';
import { Session } from './session.entity.js';
import { SessionService } from './session.service.js';
import { PasswordHasher } from './password-hasher.js';
import { SignInFailures } from './sign-in-failures.entity.js';
import { SignInGate } from './sign-in-gate.js';
import { VisitorModule } from '../visitor/visitor.module.js';
import { LiveEventsController } from './live-events.controller.js';
import { SessionTidying } from './session-tidying.js';

@Module({
  imports: [TypeOrmModule.forFeature([Account, Session, SignInFailures]), SchoolModule, VisitorModule],
  controllers: [SessionController, LiveEventsController],
  providers: [SessionService, SessionTidying, SignInGate, PasswordHasher],
  exports: [SessionService],
})
export class AccountModule {}
