/** The texts of a sheet by what they are. */

/** What may be printed on the front beside the code. */
export const faceFields = ['title', 'number', 'instruction', 'password', 'address', 'tap', 'class', 'place'] as const;
/** A text of the front that may be left out. */
export type FaceField = (typeof faceFields)[number];
/** What it is, what it means, for whom, where to file it. */
export const backFields = ['what', 'meaning', 'for-whom', 'where'] as const;
/** A text of the back. */
export type BackField = (typeof backFields)[number];
/** A text of front or back that people choose. */
export type TextField = FaceField | BackField;

/**
 * Texts that come of others: where to point the camera, in the sheet's first and second language, where the teacher wrote no task; what to
 * tap in the second one; and the line at the foot.
 */
export const derivedFields = ['point', 'point-2', 'tap-2', 'foot'] as const;
/** A text as it is laid out. */
export type LaidField = TextField | (typeof derivedFields)[number];

const choices: Readonly<Record<(typeof derivedFields)[number], TextField>> = {
  point: 'instruction',
  'point-2': 'instruction',
  'tap-2': 'tap',
  foot: 'class',
};

/** The choice that a laid text belongs to. */
export function choiceOf(field: LaidField): TextField {
  return field in choices ? choices[field as keyof typeof choices] : (field as TextField);
}

/** Which way a text runs as a whole: by its first letter that has a direction (UAX 9, P2 and P3). */
export function directionOf(text: string): 'ltr' | 'rtl' {
  const first = /\p{L}/u.exec(text)?.[0] ?? '';
  return /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u.test(first)
    ? 'rtl'
    : 'ltr';
}
