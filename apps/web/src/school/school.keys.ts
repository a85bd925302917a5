export const schoolKeys = { school: ['school'] as const };
