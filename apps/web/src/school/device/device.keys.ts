export const deviceKeys = { list: ['devices'] as const };
