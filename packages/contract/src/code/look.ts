import type { LookDesign, LookJudgement } from '@hapset/core';
import type { LookChoice } from '../gather/material.js';

/** A look of the school. */
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

/** Who may make looks. */
export const lookMakers = ['staff', 'administrator'] as const;
/** Who may make looks. */
export type LookMakers = (typeof lookMakers)[number];

/** The school's rules: the usual look, and who makes them. */
export interface LookRules {
  /** Look of all codes for which none was chosen; null for the plain one. */
  readonly defaultLookId: string | null;
  readonly madeBy: LookMakers;
}

/** All looks with the rules. */
export interface LooksView extends LookRules {
  readonly looks: readonly LookView[];
}

/** What a look needs to be made. */
export interface CreateLook {
  readonly name: string;
  readonly design: LookDesign;
}

/** All of a look under the version that was seen. */
export interface ChangeLook extends CreateLook {
  readonly version: number;
}

/** Whether a look may be chosen from now on. */
export interface AllowLook {
  readonly allowed: boolean;
}

/** A picture for the middle of codes, made out of an upload. */
export interface AddLookPicture {
  readonly uploadId: string;
}

/** A picture for the middle of codes or the top of sheets. */
export interface LookPictureView {
  readonly id: string;
  /** Width : height. */
  readonly aspect: number;
}

/** Who chose the look of a code, the nearest first. */
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

/** A look for all codes of a lesson. */
export interface ChooseLook {
  readonly look: LookChoice;
}
