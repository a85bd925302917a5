import type { LookDesign, LookJudgement } from '@hapset/core';
import type { LookChoice } from '../gather/material.js';

export interface LookView {
  readonly id: string;
  readonly name: string;
  readonly design: LookDesign;
  /** The school lets it be chosen. */
  readonly allowed: boolean;
  /** The one who asks may change and remove it. */
  readonly mayChange: boolean;
  /** Materials and lessons that have it by choice. */
  readonly uses: number;
  readonly version: number;
}

export const lookMakers = ['staff', 'administrator'] as const;
/** Who may make looks. */
export type LookMakers = (typeof lookMakers)[number];

export interface LookRules {
  /** Look of all codes for which none was chosen; null for the plain one. */
  readonly defaultLookId: string | null;
  readonly madeBy: LookMakers;
}

export interface LooksView extends LookRules {
  readonly looks: readonly LookView[];
}

export interface CreateLook {
  readonly name: string;
  readonly design: LookDesign;
}

export interface ChangeLook extends CreateLook {
  readonly version: number;
}

export interface AllowLook {
  readonly allowed: boolean;
}

/** A picture for the middle of codes, made out of an upload. */
export interface AddLookPicture {
  readonly uploadId: string;
}

export interface LookPictureView {
  readonly id: string;
  /** Width : height. */
  readonly aspect: number;
}

export const lookOrigins = ['material', 'lesson', 'school', 'nobody'] as const;
/** Who chose the look that a code has. */
export type LookOrigin = (typeof lookOrigins)[number];

/** The look that a code has where it is, and what it leaves. */
export interface CodeLookView {
  readonly from: LookOrigin;
  /** Null for the plain one. */
  readonly id: string | null;
  readonly name: string | null;
  readonly design: LookDesign;
  /** Null where no code holds the payload. */
  readonly judgement: LookJudgement | null;
}

export interface ChooseLook {
  readonly look: LookChoice;
}
