import { Module } from '@nestjs/common';
import { StudentBrowserModule } from '../student-browser/student-browser.module.js';
import { ServiceTryoutController } from './service-tryout.controller.js';
import { ServiceTryoutService } from './service-tryout.service.js';

@Module({ imports: [StudentBrowserModule], controllers: [ServiceTryoutController], providers: [ServiceTryoutService] })
export class ServiceTryoutModule {}
