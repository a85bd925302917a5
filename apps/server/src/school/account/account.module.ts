import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountChanges } from './account-changes.js';
import { Account } from './account.entity.js';
import { LiveEventsController } from './live-events.controller.js';
import { SessionController } from './session.controller.js';
import { SessionPlaces } from './session-place.js';
import { SessionService } from './session.service.js';
import { NewPassword } from './new-password.js';
import { PasswordHasher } from './password-hasher.js';
import { Retention, rowsBefore } from '../retention/retention.js';
import { SchoolModule } from '../settings/school.module.js';
import { VisitorModule } from '../visitor/visitor.module.js';
import { SignInFailures } from './sign-in-failures.entity.js';
import { SignInGate } from './sign-in-gate.js';
import { SignInService } from './sign-in.service.js';
import { Session } from './session.entity.js';

@Module({
  imports: [TypeOrmModule.forFeature([Account, Session, SignInFailures]), SchoolModule, VisitorModule],
  controllers: [SessionController, LiveEventsController],
  providers: [SessionService, SignInService, SignInGate, PasswordHasher, SessionPlaces, NewPassword, AccountChanges],
  exports: [AccountChanges, SessionService, SignInService, SessionPlaces, NewPassword],
})
export class AccountModule {
  constructor(retention: Retention, signIns: SignInService) {
    retention.add('sessions', rowsBefore('sessions', 'expires_at'));
    retention.add('sessions', () => signIns.tidy());
  }
}
