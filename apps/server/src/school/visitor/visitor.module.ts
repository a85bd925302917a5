import { Module } from '@nestjs/common';
import { VisitorAddress } from './visitor-address.js';

@Module({ providers: [VisitorAddress], exports: [VisitorAddress] })
export class VisitorModule {}
