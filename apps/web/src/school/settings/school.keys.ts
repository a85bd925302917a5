export const schoolKeys = { school: ['school'] as const, onPaper: ['school', 'on-paper'] as const };
