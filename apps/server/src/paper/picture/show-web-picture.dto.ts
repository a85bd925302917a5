import type { ShowWebPicture } from '@hapset/contract';
import { IsBoolean } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class ShowWebPictureDto implements ShowWebPicture {
  @IsBoolean() shown: boolean;
}
export const sameShowWebPicture: Exact<Plain<ShowWebPictureDto>, Plain<ShowWebPicture>> = true;
