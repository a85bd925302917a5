import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import type { SymbolPreview } from '@hapset/contract';
import { charactersToShrink, drawingSvg, plainDrawing, planSymbol, type PlanProblem } from '@hapset/core';
import { ProblemError } from '../../platform/problem/problem.js';
import { PreviewSymbolDto } from './symbol.dto.js';

/** Of the whole picture. */
const previewMm = 50;

@Controller('api/symbols')
export class SymbolController {
  @Post('preview')
  @HttpCode(200)
  preview(@Body() { payload, level }: PreviewSymbolDto): SymbolPreview {
    const planned = planSymbol(payload, level);
    if (!planned.ok) throw unfit(planned.problem);
    const { version, modules, level: chosen, mask, segmentation, charactersUntilGrowth } = planned.value;
    return {
      version,
      modules,
      level: chosen,
      mask,
      eci: segmentation.eci,
      segments: segmentation.segments,
      charactersUntilGrowth,
      charactersToShrink: charactersToShrink(planned.value, level),
      svg: drawingSvg(plainDrawing(planned.value), {
        width: `${previewMm}mm`,
        height: `${previewMm}mm`,
        title: payload,
        pictureAddress: () => null,
      }),
    };
  }
}

function unfit({ reason }: PlanProblem): ProblemError {
  const message = reason === 'empty-payload' ? 'is empty' : 'is longer than any symbol holds at that level';
  return new ProblemError('invalid', `The payload ${message}.`, { fields: [{ field: 'payload', message }] });
}
