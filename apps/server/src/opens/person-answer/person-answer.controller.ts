import { Body, Controller, Delete, Param, Put } from '@nestjs/common';
import { MaterialService } from '../../gather/material/material.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { Who } from '../../school/rights/who.decorator.js';
import { AnswerOpensDto } from './person-answer.dto.js';
import { PersonAnswerService } from './person-answer.service.js';

@Controller('api/materials/:materialId/person-answer')
export class PersonAnswerController {
  constructor(
    private readonly answers: PersonAnswerService,
    private readonly materials: MaterialService,
  ) {}

  @Put()
  async save(
    @Param('materialId') materialId: string,
    @Body() { opens }: AnswerOpensDto,
    @Who() who: SignedIn,
  ): Promise<null> {
    await this.answers.save(await this.materials.require(materialId), opens, who.name);
    return null;
  }

  @Delete()
  async remove(@Param('materialId') materialId: string): Promise<null> {
    await this.answers.remove(materialId);
    return null;
  }
}
