import { limits, type AddPhoto, type MatchPhotos } from '@hapset/contract';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBase64, IsString, MaxLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class MatchPhotosDto implements MatchPhotos {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(limits.photosAtOnce)
  @IsString({ each: true })
  @MaxLength(limits.fileNameLength, { each: true })
  files: string[];
}
export const sameMatchPhotos: Exact<Plain<MatchPhotosDto>, Plain<MatchPhotos>> = true;

export class AddPhotoDto implements AddPhoto {
  @IsBase64() @MaxLength(limits.photoLength) picture: string;
}
export const sameAddPhoto: Exact<Plain<AddPhotoDto>, Plain<AddPhoto>> = true;
