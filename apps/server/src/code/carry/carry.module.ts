import { Module } from '@nestjs/common';
import { MaterialModule } from '../../gather/material/material.module.js';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { LookModule } from '../look/look.module.js';
import { ShortLinkModule } from '../short-link/short-link.module.js';
import { CodeChoices } from './code-choices.js';

@Module({
  imports: [MaterialModule, LookModule, AccessCheckModule, ShortLinkModule, SchoolModule],
  providers: [CodeChoices],
})
export class CarryModule {}
