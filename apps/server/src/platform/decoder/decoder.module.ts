import { Module } from '@nestjs/common';
import { Decoder } from './decoder.js';

@Module({ providers: [Decoder], exports: [Decoder] })
export class DecoderModule {}
