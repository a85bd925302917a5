/** In tests there is English alone. */
export const otherTexts: Readonly<Record<string, object>> = {};
